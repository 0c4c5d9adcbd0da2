<?php

declare(strict_types=1);

namespace Tests\Core\Reading\Course;

use PHPUnit\Framework\TestCase;
use Tally\Quantity\Rate;
use Tally\Reading\Course\Course;
use Tally\Reading\Course\Plateau;
use Tally\Reading\Course\Warmth;

final class WarmthTest extends TestCase
{
    /** Falls from 100 to 50 MB/s over 50 GB. */
    private static function course(): Course
    {
        return new Course(array_map(fn (int $i): array => [$i * 1e9, (101 - $i) * 1e6], range(1, 50)));
    }

    public function test_it_sets_speed_against_temperature(): void
    {
        // One degree warmer with each gigabyte, one MB/s slower with each: 10 °C cost 10 of the mean 75.5 MB/s.
        $readings = array_map(fn (int $i): array => [$i * 1e9, 20.0 + $i], range(1, 50));
        $warmth = Warmth::along(self::course(), $readings);
        self::assertNotNull($warmth);
        self::assertEqualsWithDelta(10 / 75.5, $warmth->perTenDegrees, 1e-9);
        self::assertEqualsWithDelta(-1, $warmth->correlation, 1e-9);
        self::assertStringContainsString('loses 13 % of its speed for each 10 °C (r = -1.00, 50 readings)', $warmth->words());
        self::assertStringContainsString('does not prove the cause', $warmth->words());
        self::assertStringContainsString('70 °C (158 °F)', $warmth->words());
    }

    public function test_a_cliff_is_not_laid_to_heat(): void
    {
        $course = new Course([
            ...array_map(fn (int $i): array => [$i * 1e9, 120e6], range(1, 20)),
            ...array_map(fn (int $i): array => [$i * 1e9, 40e6], range(21, 60)),
        ]);
        $readings = array_map(fn (int $i): array => [$i * 1e9, 24.0 + $i / 2], range(1, 60));
        self::assertGreaterThan(0.1, Warmth::along($course, $readings)?->perTenDegrees);
        $within = Warmth::along($course, $readings, new Plateau(20e9, 60e9, Rate::megabytesPerSecond(40)));
        self::assertStringContainsString('does not fall as it gets warmer', (string) $within?->words());
    }

    public function test_few_or_even_readings_tell_only_the_warmest(): void
    {
        self::assertNull(Warmth::along(self::course(), []));
        foreach ([[[1e9, 30.0], [2e9, 50.0]], array_map(fn (int $i): array => [$i * 1e9, 40.0 + $i / 100], range(1, 20))] as $readings) {
            $warmth = Warmth::along(self::course(), $readings);
            self::assertNull($warmth?->perTenDegrees);
            self::assertStringContainsString('Too few readings', $warmth?->words() ?? '');
        }
    }

    public function test_readings_beyond_the_run_are_left_out(): void
    {
        self::assertSame([], Warmth::along(self::course(), [[0.0, 24.0], [90e9, 60.0]])?->pairs);
    }
}
