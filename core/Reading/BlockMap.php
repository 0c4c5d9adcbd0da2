<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;

/**
 * A medium from its first byte to its last, as a list of patches, with exact sums.
 *
 * Neighbours that tell the same are joined. When faults are so many that the list grows long, neighbours shorter than a
 * grain are joined under the gravest class of them: sums stay exact and no bad sector is ever shown as good.
 */
final class BlockMap
{
    private const MOST = 4096;

    private const COARSEST = 1 << 50;

    /**
     * @param  list<Patch>  $patches
     * @param  array<string, int>  $bytes  by class
     * @param  int  $fromAhead  bytes of echoes whose data belonged further on
     */
    public function __construct(
        private array $patches = [],
        private array $bytes = [],
        private ?int $firstBad = null,
        private int $lastBadEnd = 0,
        private ?int $firstEcho = null,
        private int $fromAhead = 0,
        private Shifts $shifts = new Shifts(),
        private int $wrongBits = 0,
        private int $grain = 0,
    ) {
        $this->bytes += array_fill_keys(array_map(fn (BlockClass $class): string => $class->value, BlockClass::cases()), 0);
    }

    public function __clone()
    {
        $this->shifts = clone $this->shifts;
    }

    public function add(Patch $patch): void
    {
        $this->bytes[$patch->class->value] += $patch->length;
        $this->wrongBits += $patch->wrongBits;
        if ($patch->class !== BlockClass::Holds) {
            $this->firstBad ??= $patch->offset;
            $this->lastBadEnd = $patch->end();
        }
        $shift = $patch->shift();
        if ($shift !== null) {
            $this->firstEcho ??= $patch->offset;
            $this->fromAhead += $shift > 0 ? $patch->length : 0;
            $this->shifts->add($shift, $patch->length);
        }
        $this->append($patch);
        if (count($this->patches) > self::MOST && $this->grain < self::COARSEST) {
            $this->coarsen();
        }
    }

    /** @return list<Patch> */
    public function patches(): array
    {
        return $this->patches;
    }

    /** @return array<string, int> bytes by class, all classes */
    public function bytesByClass(): array
    {
        return $this->bytes;
    }

    /** Bytes of that class. */
    public function bytes(BlockClass $class): int
    {
        return $this->bytes[$class->value];
    }

    /** Bytes that were written and read back, whatever came. */
    public function covered(): int
    {
        return array_sum($this->bytes);
    }

    /** Bytes that did not come back as written. */
    public function bad(): int
    {
        return $this->covered() - $this->bytes(BlockClass::Holds);
    }

    /** Offset of the first byte that did not come back as written. */
    public function firstBad(): ?int
    {
        return $this->firstBad;
    }

    /** Where the last bad bytes end; 0 where none are bad. */
    public function lastBadEnd(): int
    {
        return $this->lastBadEnd;
    }

    /** The greatest common divisor of all distances at which data came back; null without echoes. */
    public function lap(): ?int
    {
        return $this->shifts->lap();
    }

    /** @return int bytes of echoes that came from a whole number of laps away */
    public function inLaps(): int
    {
        return $this->shifts->inLaps();
    }

    /** Where the first bytes are that belong to another address; null where none do. */
    public function firstEcho(): ?int
    {
        return $this->firstEcho;
    }

    /** Whether most echoes give back what was written further on: later laps then took the place of earlier ones. */
    public function laterWins(): bool
    {
        return 2 * $this->fromAhead >= $this->bytes(BlockClass::Echoes);
    }

    /** Bits that differ, in blocks that came back changed. */
    public function wrongBits(): int
    {
        return $this->wrongBits;
    }

    /** @return int patches shorter than this may have been joined with worse neighbours; 0 while all is shown as it is */
    public function grain(): int
    {
        return $this->grain;
    }

    private function append(Patch $patch): void
    {
        $last = end($this->patches);
        if ($last === false || $last->end() !== $patch->offset || ! $this->isAlike($last, $patch)) {
            $this->patches[] = $patch;

            return;
        }
        $grave = $last->class->gravity() >= $patch->class->gravity() ? $last : $patch;
        $source = $last->shift() === $patch->shift() ? $last->source : null;
        array_pop($this->patches);
        $this->patches[] = new Patch(
            $grave->class,
            $last->offset,
            $last->length + $patch->length,
            $source,
            wrongBits: $last->wrongBits + $patch->wrongBits,
        );
    }

    private function isAlike(Patch $a, Patch $b): bool
    {
        return ($a->class === $b->class && $a->shift() === $b->shift()) || ($a->length < $this->grain && $b->length < $this->grain);
    }

    private function coarsen(): void
    {
        do {
            $this->grain = max(4096, 4 * $this->grain);
            $patches = $this->patches;
            $this->patches = [];
            foreach ($patches as $patch) {
                $this->append($patch);
            }
            // Single places far from one another are never joined; a screen has no more of them than can be kept.
        } while (count($this->patches) > self::MOST / 2 && $this->grain < self::COARSEST);
    }
}
