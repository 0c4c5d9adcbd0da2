<?php

declare(strict_types=1);

namespace Tally\Probe;

/**
 * Speed along the bytes of one passage, in at most 512 bins of equal length: when they run out, neighbours are joined,
 * so memory does not grow with the size.
 */
final class Trace
{
    private const MOST = 512;

    private int $bin;

    /** @var list<float> seconds spent in each full bin */
    private array $full = [];

    private float $last = 0.0;

    private int $inLast = 0;

    /** @param  int  $bin  bytes of a bin to begin with */
    public function __construct(int $bin)
    {
        $this->bin = max(1, $bin);
    }

    /** @param  list<array{float, float}>  $points  as of points(), of the part before */
    public static function continued(array $points, int $bin): self
    {
        $trace = new self($bin);
        $from = 0.0;
        foreach ($points as [$end, $rate]) {
            $trace->add((int) ($end - $from), ($end - $from) / max(1.0, $rate));
            $from = $end;
        }

        return $trace;
    }

    public function add(int $bytes, float $seconds): void
    {
        while ($bytes > 0) {
            if ($this->inLast === $this->bin) {
                $this->next();
            }
            $part = min($bytes, $this->bin - $this->inLast);
            $share = ($seconds * $part) / $bytes;
            $this->last += $share;
            $this->inLast += $part;
            $bytes -= $part;
            $seconds -= $share;
        }
    }

    /** @return list<array{float, float}> end of the bin in bytes from the start, bytes a second in it */
    public function points(): array
    {
        $points = [];
        foreach ($this->full as $i => $seconds) {
            $points[] = $this->point(($i + 1) * $this->bin, $this->bin, $seconds);
        }
        $points[] = $this->point(count($this->full) * $this->bin + $this->inLast, $this->inLast, $this->last);

        return array_values(array_filter($points, fn (?array $point): bool => $point !== null));
    }

    /** @return array{float, float}|null */
    private function point(int $end, int $length, float $seconds): ?array
    {
        return $length > 0 && $seconds > 0 ? [(float) $end, $length / $seconds] : null;
    }

    private function next(): void
    {
        $this->full[] = $this->last;
        [$this->last, $this->inLast] = [0.0, 0];
        if (count($this->full) === self::MOST) {
            $this->full = array_map(fn (array $pair): float => array_sum($pair), array_chunk($this->full, 2));
            $this->bin *= 2;
        }
    }
}
