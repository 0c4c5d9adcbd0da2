<?php

declare(strict_types=1);

namespace Tally\StandIn;

use Tally\Pattern\Blank;
use Tally\Pattern\Imprint;
use Tally\Pattern\Stretch;

/** What lies where on a made-up medium, kept as a short list of ranges instead of bytes. */
final class Books
{
    /** @var list<array{from: int, to: int, address: int, imprint: Imprint}> in order, without overlap */
    private array $entries = [];

    /** Puts `$length` bytes of an imprint, from `$address` on, at the physical place `$at`. */
    public function put(int $at, int $length, int $address, Imprint $imprint): void
    {
        $end = $at + $length;
        $kept = [];
        $fresh = ['from' => $at, 'to' => $end, 'address' => $address, 'imprint' => $imprint];
        foreach ($this->entries as $entry) {
            if ($entry['to'] === $at && $entry['imprint'] === $imprint && $address === $entry['address'] + $at - $entry['from']) {
                $fresh = [...$entry, 'to' => $end];

                continue;
            }
            if ($entry['from'] < $at) {
                $kept[] = [...$entry, 'to' => min($entry['to'], $at)];
            }
            if ($entry['to'] > $end) {
                $cut = max(0, $end - $entry['from']);
                $kept[] = [...$entry, 'from' => $entry['from'] + $cut, 'address' => $entry['address'] + $cut];
            }
        }
        $kept[] = $fresh;
        usort($kept, fn (array $a, array $b): int => $a['from'] <=> $b['from']);
        $this->entries = $kept;
    }

    /** @return list<Stretch|Blank> what lies at this physical range */
    public function look(int $at, int $length): array
    {
        $pieces = [];
        $end = $at + $length;
        foreach ($this->entries as $entry) {
            $from = max($at, $entry['from']);
            $to = min($end, $entry['to']);
            if ($from >= $to) {
                continue;
            }
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
}
