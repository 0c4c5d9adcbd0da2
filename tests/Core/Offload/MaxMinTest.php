<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Offload\Reckon\MaxMin;

/** Sharing by progressive filling. */
final class MaxMinTest extends TestCase
{
    /**
     * Five sessions on unit links. Source of the rates: Bertsekas & Gallager, Data Networks, 2nd ed., § 6.5.2; which session
     * takes which link is from memory.
     */
    public function test_five_sessions_on_unit_links(): void
    {
        [$first, $second, $third, $fourth] = [0, 1, 2, 3];
        $rates = MaxMin::rates(
            array_fill(0, 5, INF),
            [
                [$first => 1.0],
                [$first => 1.0, $second => 1.0],
                [$second => 1.0, $third => 1.0],
                [$fourth => 1.0],
                [$second => 1.0],
            ],
            array_fill(0, 4, 1.0),
        );
        ksort($rates);
        self::assertEqualsWithDelta([2 / 3, 1 / 3, 1 / 3, 1.0, 1 / 3], $rates, 1e-12);
    }

    public function test_what_passes_twice_takes_twice(): void
    {
        self::assertEqualsWithDelta([20.0, 20.0], MaxMin::rates([INF, INF], [[0 => 2.0], [0 => 1.0]], [60.0]), 1e-9);
    }

    public function test_one_that_cannot_do_its_share_leaves_it_to_the_others(): void
    {
        self::assertEqualsWithDelta([10.0, 45.0, 45.0], MaxMin::rates([10.0, INF, INF], array_fill(0, 3, [0 => 1.0]), [100.0]), 1e-9);
    }

    /** Max–min fair: no flow can be faster without one that is no faster than it becoming slower. */
    public function test_every_flow_is_held_by_its_own_limit_or_by_something_full_in_which_none_is_faster(): void
    {
        $chance = new Randomizer(new Mt19937(7));
        for ($round = 0; $round < 300; $round++) {
            $capacities = array_map(fn (): float => (float) $chance->getInt(1, 100), range(0, $chance->getInt(0, 5)));
            $limits = $uses = [];
            for ($flow = 0; $flow <= $chance->getInt(1, 7); $flow++) {
                $limits[$flow] = (float) $chance->getInt(1, 80);
                $uses[$flow] = [];
                foreach (array_keys($capacities) as $resource) {
                    if ($chance->getInt(0, 1) === 0) {
                        $uses[$flow][$resource] = $chance->getInt(1, 4) / 2;
                    }
                }
            }
            $rates = MaxMin::rates($limits, $uses, $capacities);
            $used = array_fill_keys(array_keys($capacities), 0.0);
            foreach ($uses as $flow => $weights) {
                foreach ($weights as $resource => $weight) {
                    $used[$resource] += $rates[$flow] * $weight;
                }
            }
            foreach ($used as $resource => $sum) {
                self::assertLessThanOrEqual($capacities[$resource] * (1 + 1e-9), $sum);
            }
            foreach ($rates as $flow => $rate) {
                $isHeld = $rate >= $limits[$flow] * (1 - 1e-9);
                foreach (array_keys($uses[$flow]) as $resource) {
                    $there = array_filter($rates, fn (int $other): bool => isset($uses[$other][$resource]), ARRAY_FILTER_USE_KEY);
                    $fastest = max(0.0, ...array_values($there));
                    $isFull = $used[$resource] >= $capacities[$resource] * (1 - 1e-9);
                    $isHeld = $isHeld || ($isFull && $fastest <= $rate * (1 + 1e-9));
                }
                self::assertTrue($isHeld, "round {$round}, flow {$flow}");
            }
        }
    }
}
