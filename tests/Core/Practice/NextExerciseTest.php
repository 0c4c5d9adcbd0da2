<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Practice\Level;
use Tally\Practice\NextExercise;
use Tally\Practice\Packed;
use Tally\Practice\PracticeSet;
use Tally\Practice\Trick;

final class NextExerciseTest extends TestCase
{
    public function test_the_kind_of_the_last_round_never_comes_again_and_a_weak_one_comes_more_often(): void
    {
        $chance = new Randomizer(new Mt19937(3));
        $drawn = [];
        for ($round = 0; $round < 600; $round++) {
            $seed = NextExercise::seed(Level::Size, ['drops' => [10, 10], 'cheap' => [10, 0]], Trick::Spoils, $chance);
            $drawn[] = Level::Size->trick($seed)->value;
        }
        $times = array_count_values($drawn);
        self::assertSame(['cheap', 'drops', 'starts-over'], self::kinds($drawn));
        self::assertGreaterThan(2.5 * ($times['cheap'] ?? 0), $times['drops'] ?? 0);
    }

    public function test_a_set_is_shared_by_its_seed(): void
    {
        $set = PracticeSet::seeded(40, Level::Pace, 4);
        self::assertSame([40, 41, 42, 43], array_map(fn ($one): int => $one->seed, $set->exercises));
        self::assertSame(Packed::set($set), Packed::set(PracticeSet::seeded(40, Level::Pace, 4)));
        self::assertSame([1, 2, 3, 4, 5, 6], array_map(fn ($one): int => $one->level->value, PracticeSet::seeded(40, null)->exercises));
    }

    /**
     * @param  list<string>  $drawn
     * @return list<string>
     */
    private static function kinds(array $drawn): array
    {
        $kinds = array_values(array_unique($drawn));
        sort($kinds);

        return $kinds;
    }
}
