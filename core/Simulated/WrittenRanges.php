<?php

declare(strict_types=1);

namespace Tally\Simulated;

use Tally\Pattern\Blank;
use Tally\Pattern\Stretch;
use Tally\Pattern\TestPattern;

/** What lies where on a made-up medium, kept as a short list of ranges instead of bytes. */
final class WrittenRanges
{
    /** @var list<array{from: int, to: int, address: int, imprint: TestPattern}> in order, without overlap */
    private array $entries = [];

    /** Puts `$length` bytes of an imprint, from `$address` on, at the physical place `$at`. */
    public function put(int $at, int $length, int $address, TestPattern $imprint): void
    {
        $end = $at + $length;
        $fresh = ['from' => $at, 'to' => $end, 'address' => $address, 'imprint' => $imprint];
        $first = $this->firstEndingAfter($at - 1);
        $kept = [];
        $i = $first;
        for (; $i < count($this->entries) && $this->entries[$i]['from'] < $end; $i++) {
            $entry = $this->entries[$i];
            if ($entry['to'] === $at && $entry['imprint'] === $imprint && $address === $entry['address'] + $at - $entry['from']) {
                $fresh = [...$entry, 'to' => $end];

                continue;
            }
            if ($entry['from'] < $at) {
                $kept[] = [...$entry, 'to' => min($entry['to'], $at)];
            }
            if ($entry['to'] > $end) {
                $cut = $end - $entry['from'];
                $after = [...$entry, 'from' => $end, 'address' => $entry['address'] + $cut];
            }
        }
        array_splice($this->entries, $first, $i - $first, [...$kept, $fresh, ...isset($after) ? [$after] : []]);
    }

    /** @return list<Stretch|Blank> what lies at this physical range */
    public function look(int $at, int $length): array
    {
        $pieces = [];
        $end = $at + $length;
        for ($i = $this->firstEndingAfter($at); $i < count($this->entries) && $this->entries[$i]['from'] < $end; $i++) {
            $entry = $this->entries[$i];
            [$from, $to] = [max($at, $entry['from']), min($end, $entry['to'])];
            if ($from > $at) {
                $pieces[] = new Blank($from - $at);
            }
            $pieces[] = $entry['imprint']->stretch($entry['address'] + $from - $entry['from'], $to - $from);
            $at = $to;
        }
        if ($at < $end) {
            $pieces[] = new Blank($end - $at);
        }

        return $pieces;
    }

    /** @return int the place in the list of the first range that goes on beyond an address */
    private function firstEndingAfter(int $address): int
    {
        [$low, $high] = [0, count($this->entries)];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->entries[$middle]['to'] > $address) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }

        return $low;
    }
}
