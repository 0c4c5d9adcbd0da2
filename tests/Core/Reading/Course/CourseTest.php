<?php

declare(strict_types=1);

namespace Tests\Core\Reading\Course;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Reading\Course\Course;
use Tally\Reading\Course\CourseReading;
use Tally\Reading\Course\SustainedFloor;

final class CourseTest extends TestCase
{
    /**
     * @param  list<array{int, float}>  $parts  how many stretches, MB/s
     * @return list<array{float, float}> stretches of 100 MB
     */
    private static function points(array $parts): array
    {
        $points = [];
        $at = 0.0;
        foreach ($parts as [$count, $rate]) {
            for ($i = 0; $i < $count; $i++) {
                $at += 100e6;
                $points[] = [$at, $rate * 1e6];
            }
        }

        return $points;
    }

    public function test_places_and_moments_belong_together(): void
    {
        $course = new Course(self::points([[10, 100], [10, 50]]));
        self::assertSame([30.0, 2e9, 20], [$course->seconds(), $course->length(), $course->count()]);
        self::assertEqualsWithDelta(0.5e9, $course->at(5), 1e-3);
        self::assertEqualsWithDelta(1.25e9, $course->at(15), 1e-3);
        self::assertEqualsWithDelta(15, $course->when(1.25e9), 1e-9);
        self::assertSame([0.0, 2e9, 0.0, 30.0], [$course->at(-1), $course->at(99), $course->when(-1), $course->when(9e9)]);
        self::assertEqualsWithDelta(2e9 / 30, $course->mean(0, 20), 1e-3);
    }

    /** @return iterable<string, array{list<array{float, float}>}> */
    public static function nonsense(): iterable
    {
        yield 'standing still' => [[[100.0, 5.0], [100.0, 5.0]]];
        yield 'going back' => [[[100.0, 5.0], [50.0, 5.0]]];
        yield 'at no speed' => [[[100.0, 0.0]]];
    }

    /** @param  list<array{float, float}>  $points */
    #[DataProvider('nonsense')]
    public function test_a_course_goes_forward(array $points): void
    {
        $this->expectException(InvalidArgumentException::class);
        new Course($points);
    }

    public function test_the_lowest_window_is_found_where_it_is(): void
    {
        // 10 s at 100, 4 s at 25, 10 s at 100 MB/s.
        $floor = SustainedFloor::of(new Course(self::points([[10, 100], [1, 25], [10, 100]])));
        self::assertNotNull($floor);
        self::assertEqualsWithDelta(25e6, $floor->rate->bytesPerSecond, 1);
        self::assertEqualsWithDelta(1e9, $floor->from, 1);
        self::assertEqualsWithDelta(1.1e9, $floor->to, 1);
    }

    public function test_a_short_dip_is_shared_with_what_stands_beside_it(): void
    {
        // One second at 25 MB/s within a window of four at 100: (25 + 3 × 100) ÷ 4.
        $points = [[1e9, 100e6], [1.025e9, 25e6], [2e9, 100e6]];
        self::assertEqualsWithDelta(325e6 / 4, SustainedFloor::of(new Course($points))?->rate->bytesPerSecond, 1);
    }

    public function test_the_first_second_is_left_out(): void
    {
        $points = [[5e6, 5e6], [1e9, 100e6]];
        self::assertEqualsWithDelta(100e6, SustainedFloor::of(new Course($points))?->rate->bytesPerSecond, 1);
        self::assertEqualsWithDelta((5e6 + 300e6) / 4, SustainedFloor::of(new Course($points), skipped: 0)?->rate->bytesPerSecond, 1);
    }

    public function test_less_than_a_window_tells_no_floor(): void
    {
        self::assertNull(SustainedFloor::of(new Course([[499e6, 100e6]])));
        self::assertNotNull(SustainedFloor::of(new Course([[500e6, 100e6]])));
        self::assertNull(SustainedFloor::of(new Course([])));
    }

    public function test_no_window_anywhere_is_lower_than_the_one_that_was_found(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $chance = new Randomizer(new Xoshiro256StarStar($seed));
            $points = [];
            $at = 0.0;
            for ($i = 0; $i < 60; $i++) {
                $at += $chance->getInt(5, 90) * 1e6;
                $points[] = [$at, $chance->getInt(10, 200) * 1e6];
            }
            $course = new Course($points);
            $floor = SustainedFloor::of($course);
            if ($floor === null) {
                self::assertLessThan(5, $course->seconds());

                continue;
            }
            for ($begin = 1.0; $begin <= $course->seconds() - 4; $begin += 0.01) {
                self::assertGreaterThanOrEqual($floor->rate->bytesPerSecond - 1, ($course->at($begin + 4) - $course->at($begin)) / 4);
            }
        }
    }

    /**
     * @return iterable<string, array{list<array{int, float}>, list<float>, list<float>}> parts, speeds of the plateaus in MB/s,
     * cliffs in GB
     */
    public static function courses(): iterable
    {
        yield 'one speed' => [[[60, 90]], [90], []];
        yield 'a cache that runs out' => [[[30, 120], [70, 40]], [120, 40], [3]];
        yield 'two caches' => [[[20, 300], [30, 120], [50, 40]], [300, 120, 40], [2, 5]];
        yield 'a rise is no cliff' => [[[30, 40], [40, 120]], [40, 120], []];
        yield 'down and up again' => [[[30, 120], [20, 40], [30, 120]], [120, 40, 120], [3]];
        yield 'a step too small to matter' => [[[30, 100], [30, 95]], [97], []];
        yield 'too short to tell' => [[[2, 100], [2, 40]], [57], []];
        yield 'nothing' => [[], [], []];
    }

    /**
     * @param  list<array{int, float}>  $parts
     * @param  list<float>  $speeds
     * @param  list<float>  $cliffs
     */
    #[DataProvider('courses')]
    public function test_plateaus_and_cliffs(array $parts, array $speeds, array $cliffs): void
    {
        $reading = CourseReading::of(self::points($parts));
        self::assertCount(count($speeds), $reading->plateaus);
        foreach ($speeds as $i => $speed) {
            self::assertEqualsWithDelta($speed, $reading->plateaus[$i]->rate->megabytes(), 0.03 * $speed);
        }
        self::assertCount(count($cliffs), $reading->cliffs());
        foreach ($cliffs as $i => $cliff) {
            self::assertEqualsWithDelta($cliff * 1e9, $reading->cliffs()[$i], 1);
        }
    }

    public function test_a_cliff_within_a_stretch_is_placed_there(): void
    {
        // Stretches of 100 MB; at 3.04 GB the speed falls from 120 to 40.
        $points = self::points([[30, 120], [1, 100 / (40 / 120 + 60 / 40)], [60, 40]]);
        self::assertEqualsWithDelta(3.04e9, CourseReading::of($points)->cliffs()[0] ?? 0, 1e6);
    }

    public function test_a_slope_is_fading_and_no_row_of_cliffs(): void
    {
        $points = [];
        for ($i = 0; $i < 200; $i++) {
            $points[] = [($i + 1) * 1e9, (100 - (30 * ($i + 0.5)) / 200) * 1e6 * (1 + 0.01 * sin($i * 7.7))];
        }
        $reading = CourseReading::of($points);
        self::assertSame([], $reading->cliffs());
        self::assertNotNull($reading->fade);
        self::assertEqualsWithDelta(0.3, $reading->fade->lost, 0.03);
        self::assertLessThan(0.02, $reading->fade->margin);
    }

    public function test_a_speed_that_only_wavers_does_not_fade(): void
    {
        $points = [];
        for ($i = 0; $i < 200; $i++) {
            $points[] = [($i + 1) * 1e9, 100e6 * (1 + 0.05 * sin($i * 7.7))];
        }
        self::assertNull(CourseReading::of($points)->fade);
    }
}
