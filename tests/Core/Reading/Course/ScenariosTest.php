<?php

declare(strict_types=1);

namespace Tests\Core\Reading\Course;

use PHPUnit\Framework\TestCase;
use Tally\Probe\SustainedRun;
use Tally\Reading\Course\CourseReading;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tools\MadeUp\Scenario;

/** Two hundred made-up cards of known truth. `php artisan bench:readings` prints the same as a table. */
final class ScenariosTest extends TestCase
{
    private const SCENARIOS = 200;

    /** @return iterable<int, array{Scenario, CourseReading}> */
    private static function readings(): iterable
    {
        for ($seed = 1; $seed <= self::SCENARIOS; $seed++) {
            $truth = Scenario::seeded($seed);
            $clock = new SimulatedClock();
            yield $seed => [
                $truth,
                CourseReading::of((new SustainedRun())->on(new SimulatedDevice($truth->medium, $clock), $clock)->trace),
            ];
        }
    }

    public function test_cliffs_plateaus_floors_and_fading_are_what_they_are(): void
    {
        $invented = 0;
        foreach (self::readings() as $seed => [$truth, $reading]) {
            $cliffs = $reading->cliffs();
            self::assertNotNull($reading->floor);
            self::assertEqualsWithDelta(1, $reading->floor->rate->over($truth->last()), 0.02, "floor of {$seed}");
            self::assertSame($truth->fade > 0, $reading->fade !== null, "fading of {$seed}");
            if ($truth->cliff === null || $truth->fast === null) {
                $invented += count($cliffs);

                continue;
            }
            self::assertNotSame([], $cliffs, "cliff of {$seed}");
            $invented += count($cliffs) - 1;
            self::assertEqualsWithDelta(1, $cliffs[0] / $truth->cliff->count, 0.02, "cliff of {$seed}");
            self::assertEqualsWithDelta(1, $reading->plateaus[0]->rate->over($truth->fast), 0.03, "plateau before, {$seed}");
            self::assertEqualsWithDelta(
                1,
                $reading->plateaus[count($reading->plateaus) - 1]->rate->over($truth->slow),
                0.03,
                "plateau after, {$seed}",
            );
        }
        self::assertLessThanOrEqual(self::SCENARIOS / 100, $invented);
    }

    public function test_a_scenario_is_the_same_whenever_its_seed_is_sown(): void
    {
        self::assertEquals(Scenario::seeded(7), Scenario::seeded(7));
        self::assertNotEquals(Scenario::seeded(7), Scenario::seeded(8));
    }
}
