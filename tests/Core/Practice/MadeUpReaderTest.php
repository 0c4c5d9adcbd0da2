<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\CaseFile\CaseReader;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Practice\Exercise;
use Tally\Practice\Holds;
use Tally\Practice\Level;
use Tally\Practice\MadeUpReader;
use Tally\Practice\Packed;
use Tally\Practice\PracticeSet;
use Tally\Practice\Trick;
use Tally\Quantity\Rate;
use Tally\Verdict\Judge;

/** Made-up readers and cards stay within what the trade sees: bus and link ranges of the handbook, common practice, no source. */
final class MadeUpReaderTest extends TestCase
{
    /** @return iterable<string, array{Bus, HostLink, float, float, Holds}> bus, link, least and most in MB/s, what is slowest */
    public static function ways(): iterable
    {
        yield 'two rows on USB 10 Gb/s' => [Bus::UhsII, HostLink::UsbGen2, 200.0, 290.0, Holds::Slot];
        yield 'one row on USB 5 Gb/s' => [Bus::UhsI, HostLink::UsbGen1, 85.0, 95.0, Holds::Slot];
        yield 'two rows on USB 480 Mb/s' => [Bus::UhsII, HostLink::Usb2, 30.0, 40.0, Holds::Link];
        yield 'one row on USB 480 Mb/s' => [Bus::UhsI, HostLink::Usb2, 30.0, 40.0, Holds::Link];
        yield 'CFexpress on USB 10 Gb/s' => [Bus::CFexpress2B, HostLink::UsbGen2, 950.0, 1050.0, Holds::Link];
    }

    #[DataProvider('ways')]
    public function test_a_way_gives_what_its_slowest_part_is_seen_to_give(
        Bus $bus,
        HostLink $link,
        float $least,
        float $most,
        Holds $holds,
    ): void {
        $chance = new Randomizer(new Mt19937(5));
        $label = CaseReader::read(
            ['format' => 'gritty-tally-case', 'version' => 1, 'name' => '', 'label' => self::label($bus), 'runs' => []],
        )->evidence->label;
        for ($time = 0; $time < 50; $time++) {
            $reader = MadeUpReader::drawn('P1', $bus, $link, $chance);
            self::assertGreaterThanOrEqual($least, $reader->of(INF));
            self::assertLessThanOrEqual($most, $reader->of(INF));
            // A slower card is as slow as it is.
            self::assertSame(21.5, $reader->of(21.5));
            self::assertSame($holds, $reader->pinch($label));
        }
    }

    private static function label(Bus $bus): string
    {
        return match ($bus) {
            Bus::CFexpress2B => '325GB CFexpress 2.0 Type B VPG400 1700MB/s read',
            Bus::UhsI => '128GB SDXC I U3 V30 95MB/s read',
            default => '128GB SDXC II U3 V60 250MB/s read',
        };
    }

    public function test_a_long_write_shows_the_fast_part_and_what_is_kept_up_behind_it(): void
    {
        $seed = 1;
        while (Level::Pace->trick($seed) !== Trick::Cliff) {
            $seed++;
        }
        $exercise = Exercise::seeded(Level::Pace, $seed);
        $medium = $exercise->card->medium;
        self::assertTrue($medium->write->isBelow($medium->fast ?? $medium->write));
        [$fast, $slow] = $exercise->evidence([$exercise->moves['long']])->sustained[0]->course->plateaus;
        // Within what readings of a medium differ, and the cache as near as the samples lie.
        self::assertEqualsWithDelta($medium->fast?->megabytes(), $fast->rate->megabytes(), 8.0);
        self::assertEqualsWithDelta($medium->write->megabytes(), $slow->rate->megabytes(), 4.0);
        self::assertEqualsWithDelta($medium->cache?->count, $fast->to, 1.5e9);
        // The cache at its burst, the rest at what is kept up; then all of it is on the clock, besides hands.
        $cache = (float) ($medium->cache->count ?? 0);
        $seconds = $cache / ($medium->fast->bytesPerSecond ?? 1.0) + (12e9 - $cache) / $medium->write->bytesPerSecond;
        self::assertEqualsWithDelta($seconds, $exercise->moves['long']->seconds, 60.0);
    }

    public function test_a_cliff_is_under_its_class_and_what_holds_on_is_not(): void
    {
        foreach ([Trick::Cliff, Trick::HoldsOn] as $trick) {
            for ($seed = 1; $seed <= 60; $seed++) {
                if (Level::Pace->trick($seed) === $trick) {
                    $exercise = Exercise::seeded(Level::Pace, $seed);
                    $floor = $exercise->evidence([])->label->topMark()?->floor() ?? Rate::megabytesPerSecond(0);
                    $keepsUp = $exercise->card->medium->write;
                    self::assertSame($trick === Trick::Cliff, $keepsUp->isBelow($floor), "seed {$seed}");
                    self::assertFalse(($exercise->card->medium->fast ?? $floor)->isBelow($floor), "seed {$seed}");
                }
            }
        }
    }

    public function test_every_exercise_goes_out_as_a_case_that_anybody_can_judge(): void
    {
        foreach ((array) Packed::set(PracticeSet::seeded(77, null))['exercises'] as $packed) {
            self::assertIsArray($packed);
            self::assertIsArray($packed['case']);
            self::assertIsArray($packed['answer']);
            $json = json_decode((string) json_encode($packed['case']), true);
            self::assertIsArray($json);
            $verdict = Judge::judge(CaseReader::read($json)->evidence);
            self::assertSame($packed['answer']['verdict'], $verdict->kind->value);
            self::assertSame($packed['answer']['reasons'], array_map(fn ($reason): string => $reason->sentence(), $verdict->reasons));
            self::assertContainsOnlyString((array) $packed['answer']['way']);
        }
    }
}
