<?php

declare(strict_types=1);

namespace Tests\Core\Shoot;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Shoot\Handout\Task;
use Tally\Shoot\Handout\Trade;

/** Trading cards between places: never worse, never more cards than there are, and what takes two for one is found. */
final class TradeTest extends TestCase
{
    private static function random(int $seed): Task
    {
        $chance = new Randomizer(new Mt19937($seed));
        $stock = array_map(fn (): int => $chance->getInt(1, 4), range(1, 6));
        $needs = $gives = $costs = [];
        for ($place = 0; $place < 4; $place++) {
            $needs[] = $chance->getInt(20, 120);
            $gives[] = array_map(fn (): int => $chance->getInt(0, 4) === 0 ? 0 : $chance->getInt(3, 50), $stock);
            $costs[] = array_map(fn (): int => 0, $stock);
        }

        return new Task($needs, $stock, $gives, $costs);
    }

    /** @return array<int, array<int, int>> */
    private static function nothing(Task $task): array
    {
        return array_map(fn (array $row): array => array_map(fn (): int => 0, $row), $task->gives);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 15; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_it_is_never_worse_and_takes_only_what_there_is_to_where_it_may_go(int $seed): void
    {
        $task = self::random($seed);
        $before = self::nothing($task);
        $after = Trade::better($task, $before);
        self::assertLessThanOrEqual($task->missing($before), $task->missing($after));
        self::assertLessThanOrEqual($task->missing($after), $task->missing(Trade::better($task, $after)));
        foreach ($task->stock as $kind => $cards) {
            self::assertLessThanOrEqual($cards, array_sum(array_column($after, $kind)));
        }
        foreach ($after as $place => $counts) {
            foreach ($counts as $kind => $count) {
                self::assertGreaterThanOrEqual(0, $count);
                self::assertTrue($count === 0 || $task->gives[$place][$kind] > 0, "kind {$kind} may not go to {$place}");
            }
        }
        self::assertSame($after, Trade::better($task, $before), 'the same way always gives the same result');
    }

    public function test_two_cards_of_half_the_size_change_places_with_one(): void
    {
        // The first place takes only small ones; the second has them, and the large one lies in the third, which has no use for it.
        $task = new Task([40, 40, 40], [1, 2, 2], [[0, 20, 0], [40, 20, 0], [40, 0, 20]], [[0, 0, 0], [0, 0, 0], [0, 0, 0]]);
        $stuck = [[0, 0, 0], [0, 2, 0], [1, 0, 2]];
        self::assertSame(40, $task->missing($stuck));
        self::assertSame(0, $task->missing(Trade::better($task, $stuck)));
    }

    public function test_no_cards_and_no_places_are_no_trouble(): void
    {
        self::assertSame([[]], Trade::better(new Task([10], [], [[]], [[]]), [[]]));
        self::assertSame([], Trade::better(new Task([], [2], [], []), []));
    }
}
