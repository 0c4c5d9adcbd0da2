<?php

declare(strict_types=1);

namespace Tally\Probe\Narrowing;

use Tally\Pattern\TestPattern;
use Tally\Probe\EarlyCheck\Sample;
use Tally\Probe\EarlyCheck\Spots;

/**
 * Questions about single blocks, past a cache inside the medium.
 *
 * A medium may keep what it was last given in a cache and answer from there. So with every question a place that is known
 * to be bad is asked again; if that one suddenly holds, other places are written until it does not.
 */
final class Asking
{
    public const BLOCK = TestPattern::BLOCK;

    /** The most that is written to push a cache aside. */
    public const MOST_PADDING = 512;

    /** Blocks that are written besides, so that a cache forgets. */
    private int $padding = 0;

    public function __construct(public readonly Spots $spots) {}

    /** Bytes. */
    public function size(): int
    {
        return $this->spots->imprint->size->count;
    }

    public function padWith(int $blocks): void
    {
        $this->padding = $blocks;
    }

    /** @param  list<int>  $blocks */
    public function write(array $blocks): void
    {
        $this->spots->write($blocks, self::BLOCK);
        $this->pad($blocks);
    }

    public function look(int $block): Sample
    {
        return new Sample($this->spots->look($block, self::BLOCK));
    }

    /**
     * @param  list<int>  $places
     * @param  int  $control  a place that is known to be bad
     * @return list<Sample>|null in order; null when a cache cannot be pushed aside
     */
    public function ask(array $places, int $control): ?array
    {
        for (; $this->padding <= self::MOST_PADDING; $this->padding = max(32, 4 * $this->padding)) {
            $asked = array_values(array_unique([...$places, $control - ($control % self::BLOCK)]));
            $this->write($asked);
            if (! $this->look($control - ($control % self::BLOCK))->holds()) {
                return array_map($this->look(...), $places);
            }
        }

        return null;
    }

    /** @param  list<int>  $keep  blocks that are left alone */
    private function pad(array $keep): void
    {
        if ($this->padding === 0) {
            return;
        }
        $size = $this->size();
        $blocks = [];
        // From just behind the first places on: on any medium that kept its beginning, that is memory it has.
        for ($at = 8 * self::BLOCK; $at < $size && count($blocks) < $this->padding; $at += self::BLOCK) {
            if (! in_array($at, $keep, true)) {
                $blocks[] = $at;
            }
        }
        $this->spots->write($blocks, self::BLOCK);
    }
}
