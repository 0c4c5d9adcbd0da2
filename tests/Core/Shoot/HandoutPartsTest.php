<?php

declare(strict_types=1);

namespace Tests\Core\Shoot;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Shoot\Handout\AsIfCut;
use Tally\Shoot\Handout\Handout;
use Tally\Shoot\Handout\OnePlace;
use Tally\Shoot\Handout\Search;
use Tally\Shoot\Handout\Task;
use Tally\Shoot\Handout\Trade;

/** The parts of which handing out is made: one place, cards that could be cut, trading, and what is said of a way. */
final class HandoutPartsTest extends TestCase
{
    private static function random(int $seed, int $kinds = 5, int $places = 3): Task
    {
        $chance = new Randomizer(new Mt19937($seed));
        $stock = $needs = $gives = $costs = [];
        for ($kind = 0; $kind < $kinds; $kind++) {
            $stock[] = $chance->getInt(1, 3);
        }
        for ($place = 0; $place < $places; $place++) {
            $needs[] = $chance->getInt(5, 60);
            $gives[] = array_map(fn (): int => $chance->getInt(0, 3) === 0 ? 0 : $chance->getInt(3, 40), $stock);
            $costs[] = array_map(fn (): int => $chance->getInt(1, 9), $stock);
        }

        return new Task($needs, $stock, $gives, $costs);
    }

    public function test_one_place_buys_the_cheapest_that_meets_its_need(): void
    {
        // 60 are wanted: two of 30 for 4 each, one of 64 for 9, four of 16 for 1 each.
        self::assertSame([4.0, [0, 0, 4]], self::sixty([2, 1, 4]));
        self::assertSame([6.0, [1, 0, 2]], self::sixty([2, 1, 2]));
        self::assertSame([8.0, [2, 0, 0]], self::sixty([2, 1, 0]));
        self::assertSame([9.0, [0, 1, 0]], self::sixty([1, 1, 0]));
        // Where what is missing costs little, nothing is bought for it.
        self::assertSame([6.0, [0, 0, 0]], self::sixty([2, 1, 0], 0.1));
    }

    /**
     * @param  array<int, int>  $upTo
     * @return array{float, array<int, int>}
     */
    private static function sixty(array $upTo, float $fine = 1e4): array
    {
        $looks = 0;
        $answer = OnePlace::cheapest(60, [30, 64, 16], [4.0, 9.0, 1.0], [0, 0, 0], upTo: $upTo, fine: $fine, slack: 0.0, looks: $looks);
        self::assertGreaterThan(0, $looks);

        return $answer;
    }

    public function test_what_a_place_has_already_counts(): void
    {
        $looks = 0;
        [$cost, $taken] = OnePlace::cheapest(60, [30, 16], [4.0, 1.0], [1, 0], upTo: [2, 2], fine: 1e4, slack: 0.0, looks: $looks);
        self::assertSame([6.0, [1, 2]], [$cost, $taken]);
        [$cost, $taken] = OnePlace::cheapest(20, [30, 16], [4.0, 1.0], [1, 0], upTo: [2, 2], fine: 1e4, slack: 0.0, looks: $looks);
        self::assertSame([4.0, [1, 0]], [$cost, $taken]);
    }

    public function test_one_place_is_right_against_every_way_there_is(): void
    {
        for ($seed = 1; $seed <= 150; $seed++) {
            $task = self::random($seed, 4, 1);
            $looks = 0;
            $prices = array_map(fn (int $cost): float => (float) $cost, $task->costs[0]);
            $none = array_fill(0, 4, 0);
            [$cost] = OnePlace::cheapest(
                $task->needs[0],
                $task->gives[0],
                $prices,
                $none,
                upTo: $task->stock,
                fine: 2.5,
                slack: 0.0,
                looks: $looks,
            );
            $least = INF;
            foreach (self::ways($task->stock) as $way) {
                $given = $paid = 0;
                foreach ($way as $kind => $count) {
                    $given += $count * $task->gives[0][$kind];
                    $paid += $count * $task->costs[0][$kind];
                }
                $least = min($least, $paid + 2.5 * max(0, $task->needs[0] - $given));
            }
            self::assertEqualsWithDelta($least, $cost, 1e-9, "seed {$seed}");
        }
    }

    /**
     * @param  array<int, int>  $stock
     * @return iterable<list<int>>
     */
    private static function ways(array $stock): iterable
    {
        $last = array_pop($stock);
        if ($last === null) {
            yield [];

            return;
        }
        foreach (self::ways($stock) as $way) {
            for ($count = 0; $count <= $last; $count++) {
                yield [...$way, $count];
            }
        }
    }

    public function test_cards_that_could_be_cut_never_cost_more_than_whole_ones(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $task = self::random($seed);
            $cut = AsIfCut::of($task->withoutCosts(), 1.0);
            [$missing] = Search::best($task);
            $whole = $cut->whole();
            self::assertGreaterThanOrEqual($missing->value, $task->missing($whole), "seed {$seed}");
            foreach ($task->stock as $kind => $stock) {
                self::assertLessThanOrEqual($stock, array_sum(array_column($whole, $kind)), "seed {$seed}");
                self::assertGreaterThanOrEqual(0.0, $cut->worth()[$kind]);
            }
        }
    }

    public function test_what_one_card_more_would_save(): void
    {
        // One place lacks 40 with its one card of 60; one more of them would give all 40.
        $task = new Task([100], [1], [[60]], [[1]]);
        self::assertEqualsWithDelta(60.0, AsIfCut::of($task->withoutCosts(), 1.0)->worth()[0], 1e-9);
        $plenty = new Task([100], [4], [[60]], [[1]]);
        self::assertEqualsWithDelta(0.0, AsIfCut::of($plenty->withoutCosts(), 1.0)->worth()[0], 1e-9);
    }

    public function test_trading_misses_no_more_than_before_and_uses_no_card_twice(): void
    {
        for ($seed = 1; $seed <= 20; $seed++) {
            $task = self::random($seed, 6, 4);
            $none = array_map(fn (array $row): array => array_map(fn (): int => 0, $row), $task->gives);
            $better = Trade::better($task, $none);
            self::assertLessThanOrEqual($task->missing($none), $task->missing($better));
            self::assertSame($task->missing(Trade::better($task, $none)), $task->missing($better));
            foreach ($task->stock as $kind => $stock) {
                self::assertLessThanOrEqual($stock, array_sum(array_column($better, $kind)));
            }
        }
    }

    public function test_a_task_knows_its_step_what_is_useful_and_what_it_misses(): void
    {
        $task = new Task([90, 60], [2, 1], [[60, 120], [30, 0]], [[1, 2], [3, 4]]);
        self::assertSame(30, $task->step());
        self::assertSame([[60, 90], [30, 0]], $task->useful());
        self::assertSame([30, 2], [$task->missing([[1, 0], [1, 0]]) - 30, $task->cost([[0, 1], [0, 0]])]);
        $met = $task->asMetBy(new Handout([[1, 0], [1, 0]], 0, 0));
        self::assertSame([60, 30], $met->needs);
        self::assertSame(0, $met->missing([[1, 0], [1, 0]]));
        self::assertSame(0, $task->withoutCosts()->cost([[2, 1], [1, 0]]));
    }

    public function test_no_card_no_need_or_no_look_is_answered_as_well(): void
    {
        $nothing = Search::best(new Task([60, 1], [], [[], []], [[], []]));
        self::assertSame([61, true], [$nothing[0]->value, $nothing[0]->isProven()]);
        $needless = Search::best(new Task([0], [2], [[60]], [[1]]));
        self::assertSame([0, 0], [$needless[0]->value, $needless[1]->value]);
        [$missing, $cost] = Search::best(self::random(7), 0);
        self::assertGreaterThanOrEqual($missing->least, $missing->value);
        self::assertGreaterThanOrEqual($cost->least, $cost->value);
    }
}
