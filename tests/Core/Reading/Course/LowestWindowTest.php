<?php

declare(strict_types=1);

namespace Tests\Core\Reading\Course;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Reading\Course\Course;
use Tally\Reading\Course\LowestWindow;
use Tally\Reading\Course\SustainedFloor;

final class LowestWindowTest extends TestCase
{
    /** @return iterable<array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 25) as $seed) {
            yield [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_no_window_is_lower_than_the_one_it_finds(int $seed): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $lowest = new LowestWindow();
        [$points, $at] = [[], 0.0];
        foreach (range(1, $chance->getInt(8, 60)) as $i) {
            [$bytes, $seconds] = [(float) $chance->getInt(1_000_000, 90_000_000), $chance->getInt(20, 2500) / 1000];
            $lowest->add($bytes, $seconds);
            $at += $bytes;
            $points[] = [$at, $bytes / $seconds];
        }
        $course = new Course($points);
        $floor = $lowest->floor();
        $least = INF;
        // Every window, a hundredth of a second apart.
        for ($begin = 1.0; $begin + 4 <= $course->seconds(); $begin += 0.01) {
            $least = min($least, ($course->at($begin + 4) - $course->at($begin)) / 4);
        }
        if ($least === INF) {
            self::assertNull($floor);

            return;
        }
        self::assertNotNull($floor);
        self::assertLessThanOrEqual($least * (1 + 1e-9), $floor->rate->bytesPerSecond);
        self::assertGreaterThan($least * 0.99, $floor->rate->bytesPerSecond);
        self::assertEqualsWithDelta($floor->rate->bytesPerSecond, ($floor->to - $floor->from) / 4, 1);
    }

    public function test_a_short_stall_in_a_day_of_writing_is_not_averaged_away(): void
    {
        $lowest = new LowestWindow();
        for ($second = 0; $second < 86_400; $second++) {
            $lowest->add($second >= 50_000 && $second < 50_006 ? 2e6 : 90e6, 1.0);
        }
        $floor = $lowest->floor();
        self::assertEqualsWithDelta(2e6, $floor?->rate->bytesPerSecond, 1);
        self::assertEqualsWithDelta(50_000 * 90e6, $floor?->from, 2 * 2e6 + 1);
    }

    public function test_the_first_second_does_not_count_and_less_than_five_tell_nothing(): void
    {
        $lowest = new LowestWindow();
        $lowest->add(1e6, 1.0);
        $lowest->add(199e6, 3.9);
        self::assertNull($lowest->floor());
        $lowest->add(5e6, 0.1);
        self::assertEqualsWithDelta(51e6, $lowest->floor()?->rate->bytesPerSecond, 1);
        self::assertSame(SustainedFloor::WINDOW, $lowest->floor()?->window);
    }
}
