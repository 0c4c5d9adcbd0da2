<?php

declare(strict_types=1);

namespace Tests\Core\Probe;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Probe\Screen\QuickScreen;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Reading\Coverage;
use Tally\Reading\Nature;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tally\Verdict\VerdictKind;
use Tools\MadeUp\Specimen;
use Tools\MadeUp\Trial;

/** Quick screen, looking back and full proof against made-up cards of every kind. */
final class NarrowingTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        // Other seeds than those of the bench, and nothing was tuned on them.
        for ($seed = 50_000; $seed < 50_060; $seed++) {
            yield "seed {$seed}, ".Specimen::seeded($seed)->kind => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_every_way_tells_the_truth(int $seed): void
    {
        $specimen = Specimen::seeded($seed);
        foreach ([Trial::proof($specimen, false), Trial::proof($specimen, true), Trial::screen($specimen, 256)] as $i => $trial) {
            $line = "{$specimen->medium->line()}: {$trial->result->diagnosis->condition->value}, ".
                $trial->result->diagnosis->capacity->count;
            self::assertFalse($trial->isWrongful(), $line);
            // A screen may pass small bad spots by; it says how likely that is.
            if ($i < 2 || $specimen->truth !== Condition::Faulty) {
                self::assertTrue($trial->isExact(), $line);
            }
        }
    }

    public function test_a_proof_of_the_whole_card_never_calls_a_fake_sound(): void
    {
        foreach (
            [
                'wraps,size=32GB,true=31GB',
                'drops,size=32GB,true=31GB',
                'keeps,size=32GB,true=31.9GB',
                'wraps,size=32GB,true=31.9GB,spared=31GB',
            ] as $line
        ) {
            $clock = new SimulatedClock();
            $result = QuickScreen::on(new SimulatedDevice(Medium::parse($line), $clock), $clock);
            self::assertSame(Nature::Fake, $result->diagnosis->nature(), $line);
            self::assertTrue($result->diagnosis->exact);
        }
    }

    /**
     * @return iterable<string, array{string, Condition, int, int|null, int|null}> medium, condition, capacity, lap, first
     * address that is written over
     */
    public static function mixtures(): iterable
    {
        $gb = 1_000_000_000;
        yield 'starts over after a part that is spared' => [
            'wraps,size=32GB,true=8GB,spared=3GB',
            Condition::Wraps,
            8 * $gb,
            5 * $gb,
            3 * $gb,
        ];
        yield 'starts over in a very small part' => ['wraps,size=64GB,true=8GB,spared=7999MB', Condition::Drops, 7_999_000_000, null, null];
        yield 'its first lap stays' => ['keeps,size=32GB,true=8GB', Condition::Wraps, 8 * $gb, 8 * $gb, 0];
        yield 'answers from a cache' => ['drops,size=32GB,true=8GB,remembers=64MB', Condition::Drops, 8 * $gb, null, null];
        yield 'starts over and answers from a cache' => ['wraps,size=32GB,true=8GB,remembers=24MB', Condition::Wraps, 8 * $gb, 8 * $gb, 0];
    }

    #[DataProvider('mixtures')]
    public function test_a_screen_tells_mixtures(string $line, Condition $condition, int $capacity, ?int $lap, ?int $from): void
    {
        $clock = new SimulatedClock();
        $diagnosis = QuickScreen::on(new SimulatedDevice(Medium::parse($line), $clock), $clock)->diagnosis;
        self::assertSame(
            [$condition, $capacity, $lap, $from],
            [$diagnosis->condition, $diagnosis->capacity->count, $diagnosis->wrap, $diagnosis->wrapFrom],
        );
    }

    public function test_a_cache_that_hides_all_of_a_small_screen_is_found_out_after_it_was_taken_out(): void
    {
        $clock = new SimulatedClock();
        $medium = Medium::parse('drops,size=1GB,true=200MB,remembers=2GB');
        $device = new SimulatedDevice($medium, $clock);
        $first = QuickScreen::on($device, $clock);
        self::assertSame(Condition::Whole, $first->diagnosis->condition, 'everything was answered from the cache');
        self::assertNotNull($first->screen);
        $again = QuickScreen::again($first->screen, $device->takenOutAndIn(), $clock);
        self::assertSame(Nature::Fake, $again->diagnosis->nature());
    }

    public function test_the_handbooks_numbers_of_places(): void
    {
        // House handbook, quick screen: K = 64 catches anything holding less than 93.1 % with 99 % certainty, K = 256 less
        // than 98.2 %; all good says at 95 % fewer than 3/K bad.
        self::assertEqualsWithDelta(0.931, (new Coverage(64))->caughtBelow(), 0.0005);
        self::assertEqualsWithDelta(0.982, (new Coverage(256))->caughtBelow(), 0.0005);
        self::assertEqualsWithDelta(0.99, (new Coverage(64))->catches((new Coverage(64))->caughtBelow()), 1e-9);
        self::assertSame(3 / 256, (new Coverage(256))->excludes());
        self::assertStringContainsString('less than 98.2 %', (new Coverage(256))->caught());
        self::assertStringContainsString('fewer than 1.17 % of the blocks', (new Coverage(256))->excluded());
        // The rule of three against the exact bound, 1 − 0.05^(1/K).
        self::assertEqualsWithDelta(1 - 0.05 ** (1 / 256), (new Coverage(256))->excludes(), 0.0001);
    }

    public function test_spots_are_missed_no_more_often_than_is_stated(): void
    {
        $missed = $stated = 0.0;
        for ($seed = 60_008; $seed < 60_608; $seed += 10) {
            $trial = Trial::screen(Specimen::seeded($seed), 64);
            self::assertSame('patchy', $trial->specimen->kind);
            $missed += $trial->isMissed() ? 1 : 0;
            $stated += $trial->statedMiss(64);
        }
        // Three standard deviations of a sum of so many chances.
        self::assertLessThan($stated + 3 * sqrt(60 * 0.25), $missed);
        self::assertGreaterThan(0, $missed);
    }

    public function test_the_places_of_a_screen(): void
    {
        foreach (['32MB', '512MB', '32GB', '1TB', '128TB'] as $size) {
            foreach ([16, 64, 256, 1000] as $points) {
                $plan = new ScreenPlan(($shown = Bytes::parse($size)), $points, 7);
                $drawn = $plan->drawn();
                self::assertCount($points, array_unique($drawn), "{$size}, {$points} places");
                // One in each of K equal parts.
                foreach ($drawn as $i => $place) {
                    self::assertEqualsWithDelta(
                        ($i + 0.5) / $points,
                        $place / $shown->count,
                        0.6 / $points + $plan->length() / $shown->count,
                    );
                }
                $places = $plan->places();
                self::assertSame($places, array_values(array_unique($places)));
                self::assertContains(0, $places);
                self::assertLessThanOrEqual($plan->denseFrom(), $places[count($places) - 1] + $plan->length());
                // No gap is longer than the dense stretch at the end, so that wherever that lies in the memory it meets a place.
                $gaps = array_map(fn (int $a, int $b): int => $b - $a, array_slice($places, 0, -1), array_slice($places, 1));
                self::assertLessThanOrEqual($shown->count - $plan->denseFrom(), max([0, ...$gaps]), "{$size}, {$points} places");
                self::assertLessThan($shown->count, $plan->total()->count);
                self::assertSame($drawn, (new ScreenPlan($shown, $points, 7))->drawn());
            }
        }
    }

    public function test_a_number_of_places_that_says_nothing_is_refused(): void
    {
        $this->expectExceptionMessage('The number of places was 3: give one from 16 to 4096.');
        new ScreenPlan(Bytes::gigabytes(32), 3);
    }

    public function test_the_verdict_of_a_screen_that_was_passed_stays_open(): void
    {
        $trial = Trial::screen(Specimen::seeded(10), 256);
        self::assertSame(['honest', VerdictKind::Unproven], [$trial->specimen->kind, $trial->verdict]);
    }
}
