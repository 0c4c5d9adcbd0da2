<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

/** Ranges that a device did not take: few of them, since neighbours are joined. */
final class Refused
{
    /** @param  array<int, int>  $ranges  offset → length, in order and apart */
    public function __construct(private array $ranges = []) {}

    public function add(int $offset, int $length): void
    {
        $last = array_key_last($this->ranges);
        if ($last !== null && $last + $this->ranges[$last] === $offset) {
            $this->ranges[$last] += $length;
        } else {
            $this->ranges[$offset] = $length;
            ksort($this->ranges);
        }
    }

    /**
     * A stretch cut at the edges of what was refused.
     *
     * @return list<array{int, int, bool}> offset, length, whether it was refused
     */
    public function cut(int $at, int $length): array
    {
        $parts = [];
        $end = $at + $length;
        foreach ($this->ranges as $offset => $long) {
            [$from, $to] = [max($at, $offset), min($end, $offset + $long)];
            if ($from < $to) {
                if ($from > $at) {
                    $parts[] = [$at, $from - $at, false];
                }
                $parts[] = [$from, $to - $from, true];
                $at = $to;
            }
        }
        if ($at < $end) {
            $parts[] = [$at, $end - $at, false];
        }

        return $parts;
    }

    /** @return array<int, int> */
    public function all(): array
    {
        return $this->ranges;
    }
}
