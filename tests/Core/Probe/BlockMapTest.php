<?php

declare(strict_types=1);

namespace Tests\Core\Probe;

use PHPUnit\Framework\TestCase;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Reading\BlockMap;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;

final class BlockMapTest extends TestCase
{
    public function test_neighbours_that_tell_the_same_are_joined(): void
    {
        $core = new BlockMap();
        $core->add(new Patch(BlockClass::Holds, 0, 512));
        $core->add(new Patch(BlockClass::Holds, 512, 512));
        $core->add(new Patch(BlockClass::Echoes, 1024, 512, 9216));
        $core->add(new Patch(BlockClass::Echoes, 1536, 512, 9728));
        $core->add(new Patch(BlockClass::Echoes, 2048, 512, 99_840));
        self::assertCount(3, $core->patches(), 'echoes of different distances stay apart');
        self::assertSame(1024, $core->patches()[1]->length);
        self::assertSame(9216, $core->patches()[1]->source);
    }

    public function test_sums_stay_exact_and_no_bad_sector_is_lost_when_faults_are_many(): void
    {
        $core = new BlockMap();
        $sectors = 40_000;
        for ($i = 0; $i < $sectors; $i++) {
            $class = $i % 2 === 0 ? BlockClass::Holds : BlockClass::Scrambled;
            $core->add(new Patch($class, $i * 512, 512, wrongBits: $i % 2));
        }
        self::assertLessThanOrEqual(4096, count($core->patches()));
        self::assertGreaterThan(0, $core->grain());
        self::assertSame($sectors * 256, $core->bytes(BlockClass::Scrambled));
        self::assertSame(intdiv($sectors, 2), $core->wrongBits());
        self::assertSame(512, $core->firstBad());
        $shown = array_sum(
            array_map(fn (Patch $patch): int => $patch->class === BlockClass::Scrambled ? $patch->length : 0, $core->patches()),
        );
        self::assertGreaterThanOrEqual($core->bytes(BlockClass::Scrambled), $shown);
        self::assertSame($sectors * 512, array_sum(array_map(fn (Patch $patch): int => $patch->length, $core->patches())));
    }

    public function test_the_lap_is_the_greatest_common_divisor_of_the_distances(): void
    {
        $core = new BlockMap();
        self::assertNull($core->lap());
        $core->add(new Patch(BlockClass::Echoes, 0, 512, 3 * 8_000_000));
        self::assertSame(24_000_000, $core->lap());
        $core->add(new Patch(BlockClass::Echoes, 512, 512, 512 + 2 * 8_000_000));
        self::assertSame(8_000_000, $core->lap());
    }

    public function test_a_few_bad_megabytes_are_a_faulty_card_and_no_fake(): void
    {
        // Common practice, no source: 141 MB of 32 GB is a faulty card.
        $core = new BlockMap();
        $core->add(new Patch(BlockClass::Holds, 0, 20_000_000_000));
        $core->add(new Patch(BlockClass::Scrambled, 20_000_000_000, 141_000_000));
        $core->add(new Patch(BlockClass::Holds, 20_141_000_000, 11_859_000_000));
        $diagnosis = Diagnosis::of($core);
        self::assertSame(Condition::Faulty, $diagnosis->condition);
        self::assertSame(31_859_000_000, $diagnosis->capacity->count);
    }

    public function test_a_first_part_that_holds_before_rubbish_is_a_card_that_drops(): void
    {
        $core = new BlockMap();
        $core->add(new Patch(BlockClass::Holds, 0, 4_000_000_000));
        foreach ([BlockClass::Blank, BlockClass::Scrambled, BlockClass::Blank, BlockClass::Unreadable] as $i => $class) {
            $core->add(new Patch($class, 4_000_000_000 + $i * 7_000_000_000, 7_000_000_000));
        }
        $diagnosis = Diagnosis::of($core);
        self::assertSame(Condition::Drops, $diagnosis->condition);
        self::assertSame(4_000_000_000, $diagnosis->capacity->count);
    }

    public function test_old_data_behind_an_end_is_memory_that_is_there_and_what_follows_an_error_tells_nothing(): void
    {
        $found = function (BlockClass ...$behind): Condition {
            $core = new BlockMap();
            $core->add(new Patch(BlockClass::Holds, 0, 4_000_000_000));
            foreach (array_values($behind) as $i => $class) {
                $core->add(new Patch($class, 4_000_000_000 + $i * 7_000_000_000, 7_000_000_000));
            }

            return Diagnosis::of($core)->condition;
        };
        self::assertSame(Condition::KeepsOld, $found(BlockClass::Blank, BlockClass::Blank, BlockClass::Stale));
        self::assertSame(Condition::Refuses, $found(BlockClass::Unreadable, BlockClass::Blank, BlockClass::Blank, BlockClass::Blank));
        self::assertSame(Condition::Refuses, $found(BlockClass::Unreadable, BlockClass::Stale));
        self::assertSame(Condition::Drops, $found(BlockClass::Blank, BlockClass::Blank, BlockClass::Unreadable));
    }

    public function test_echoes_without_a_lap_that_fits_are_no_wrap(): void
    {
        // All that was written past the end lies in one scratch block: distances have no lap as long as what holds.
        $core = new BlockMap();
        $core->add(new Patch(BlockClass::Holds, 0, 4_000_000_000));
        for ($i = 0; $i < 1000; $i++) {
            $offset = 4_000_000_000 + $i * 1_048_576;
            $core->add(new Patch(BlockClass::Echoes, $offset, 1_048_576, 4_000_000_000 + 1000 * 1_048_576));
        }
        $diagnosis = Diagnosis::of($core);
        self::assertSame(Condition::Drops, $diagnosis->condition);
        self::assertNull($diagnosis->wrap);
    }

    public function test_some_misplaced_blocks_are_a_fault_and_many_a_false_size(): void
    {
        foreach ([[70, Condition::Faulty], [4, Condition::Aliases]] as [$every, $condition]) {
            $core = new BlockMap();
            for ($i = 0; $i < 700; $i++) {
                $core->add(
                    $i % $every === 0
                        ? new Patch(BlockClass::Echoes, $i * 1_048_576, 1_048_576, ($i + 1) * 1_048_576)
                        : new Patch(BlockClass::Holds, $i * 1_048_576, 1_048_576),
                );
            }
            $diagnosis = Diagnosis::of($core);
            self::assertSame([$condition, $core->bytes(BlockClass::Holds)], [$diagnosis->condition, $diagnosis->capacity->count]);
        }
    }

    public function test_a_card_that_wraps_and_has_a_bad_spot_still_wraps(): void
    {
        $core = new BlockMap();
        $core->add(new Patch(BlockClass::Echoes, 0, 8_000_000_000, 8_000_000_000));
        $core->add(new Patch(BlockClass::Holds, 8_000_000_000, 7_999_990_000));
        $core->add(new Patch(BlockClass::Scrambled, 15_999_990_000, 10_000));
        self::assertSame([Condition::Wraps, 8_000_000_000], [Diagnosis::of($core)->condition, Diagnosis::of($core)->wrap]);
    }

    public function test_every_other_stripe_lost_is_no_spot_and_no_end(): void
    {
        $core = new BlockMap();
        for ($i = 0; $i < 100; $i++) {
            $core->add(new Patch($i % 2 === 0 ? BlockClass::Holds : BlockClass::Blank, $i * 1_048_576, 1_048_576));
        }
        $diagnosis = Diagnosis::of($core);
        self::assertSame([Condition::Faulty, 50 * 1_048_576], [$diagnosis->condition, $diagnosis->capacity->count]);
        self::assertStringContainsString('or a fake of a kind that is not told apart here', implode(' ', $diagnosis->also));
    }

    public function test_errors_that_lie_together_are_told_from_ones_that_scatter(): void
    {
        $places = ['lie close together' => fn (int $i): int => 500 + $i, 'are scattered' => fn (int $i): int => 37 * $i];
        foreach ($places as $words => $place) {
            $core = new BlockMap();
            $at = 0;
            for ($i = 0; $i < 25; $i++) {
                $next = $place($i) * 1_048_576;
                if ($next > $at) {
                    $core->add(new Patch(BlockClass::Holds, $at, $next - $at));
                }
                $core->add(new Patch(BlockClass::Scrambled, $next, 512, wrongBits: 2));
                $at = $next + 512;
            }
            $core->add(new Patch(BlockClass::Holds, $at, 1_048_576_000 - $at));
            $said = implode(' ', Diagnosis::of($core)->also);
            self::assertStringContainsString($words, $said);
            self::assertStringContainsString('single bits tip over', $said);
        }
    }

    public function test_rubbish_is_told_from_bits_that_tip_over(): void
    {
        $core = new BlockMap();
        $core->add(new Patch(BlockClass::Holds, 0, 1_048_576_000));
        $core->add(new Patch(BlockClass::Scrambled, 1_048_576_000, 512, wrongBits: 2040));
        $core->add(new Patch(BlockClass::Holds, 1_048_576_512, 1_048_576_000));
        self::assertStringContainsString('about half of its bits differ', implode(' ', Diagnosis::of($core)->also));
        self::assertStringContainsString('lie in one place', implode(' ', Diagnosis::of($core)->also));
    }

    public function test_a_stray_echo_does_not_hide_the_lap(): void
    {
        $core = new BlockMap();
        $core->add(new Patch(BlockClass::Echoes, 0, 8_000_000_000, 8_000_000_000));
        $core->add(new Patch(BlockClass::Echoes, 8_000_000_000, 512, 8_000_123_904));
        $core->add(new Patch(BlockClass::Holds, 8_000_000_512, 7_999_999_488));
        self::assertSame([Condition::Wraps, 8_000_000_000], [Diagnosis::of($core)->condition, Diagnosis::of($core)->wrap]);
    }
}
