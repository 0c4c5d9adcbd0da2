<?php

declare(strict_types=1);

namespace Tests\Property;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Cipher;
use Tally\Pattern\Literal;
use Tally\Pattern\Patch;
use Tally\Pattern\TestPattern;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\Proof\Refused;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\BlockMap;
use Tally\Reading\Condition;
use Tally\Reading\Shifts;
use Tally\Simulated\Behaviour;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tally\Value\Values;

/** What must hold of pattern, wrap and classification whatever the numbers, drawn by eris. */
final class PatternPropertiesTest extends TestCase
{
    use TestTrait;

    private const MIB = TestPattern::BLOCK;

    protected function setUp(): void
    {
        $this->seed = 20_261_125;
        $this->limitTo(60);
    }

    /**
     * @param  array<mixed>  $drawn
     * @return list<int>
     */
    private static function numbers(array $drawn): array
    {
        return array_values(array_filter($drawn, is_int(...)));
    }

    public function test_any_two_units_of_the_pattern_tell_run_and_address(): void
    {
        $this->forAll(Generators::choose(1, PHP_INT_MAX), Generators::choose(0, 1 << 43))->then(function (int $run, int $unit): void {
            $stamp = Cipher::stamp(Cipher::stream($run, 16 * $unit, str_repeat("\0", 32)));
            self::assertNotNull($stamp);
            self::assertSame([$run, 16 * $unit], [$stamp->run, $stamp->address]);
        });
    }

    public function test_a_range_is_the_same_however_it_is_asked_for(): void
    {
        $imprint = new TestPattern(77, Bytes::of(3 * self::MIB + 1000));
        $whole = $imprint->range(0, 3 * self::MIB + 1000);
        $this->forAll(Generators::choose(0, 3 * self::MIB + 999), Generators::choose(1, 2 * self::MIB))->then(function (
            int $offset,
            int $length,
        ) use ($imprint, $whole): void {
            self::assertSame(md5(substr($whole, $offset, $length)), md5($imprint->range($offset, $length)));
        });
    }

    public function test_patches_have_no_gaps_and_name_the_sectors_that_were_changed(): void
    {
        $imprint = new TestPattern(5, Bytes::of(4 * self::MIB));
        $block = $imprint->block(self::MIB);
        $this->forAll(Generators::seq(Generators::choose(0, self::MIB - 1)))->then(function (array $drawn) use ($imprint, $block): void {
            $places = self::numbers($drawn);
            $changed = $block;
            foreach ($places as $place) {
                $changed[$place] = chr(ord($block[$place]) ^ 0x41);
            }
            $patches = (new Appraiser($imprint))->appraise(new Literal($changed), self::MIB);
            $at = self::MIB;
            $bad = [];
            foreach ($patches as $patch) {
                self::assertSame($at, $patch->offset);
                $at = $patch->end();
                for ($sector = $patch->offset; $patch->class !== BlockClass::Holds && $sector < $patch->end(); $sector += 512) {
                    $bad[] = intdiv($sector - self::MIB, 512);
                }
            }
            self::assertSame(2 * self::MIB, $at);
            $expected = array_values(array_unique(array_map(fn (int $place): int => intdiv($place, 512), $places)));
            sort($expected);
            self::assertSame($expected, $bad);
            self::assertSame(2 * count(array_unique($places)), array_sum(array_map(fn (Patch $patch): int => $patch->wrongBits, $patches)));
        });
    }

    public function test_a_block_of_another_address_is_an_echo_of_it_to_the_sector(): void
    {
        $imprint = new TestPattern(5, Bytes::of(64 * self::MIB));
        $this->forAll(Generators::choose(0, 63 * 2048), Generators::choose(1, 62), Generators::choose(1, 2048))->then(function (
            int $source,
            int $there,
            int $sectors,
        ) use ($imprint): void {
            $read = substr($imprint->range(512 * $source, self::MIB), 0, 512 * $sectors);
            $patches = (new Appraiser($imprint))->appraise(new Literal(str_pad($read, self::MIB, "\0")), $there * self::MIB);
            $isItself = 512 * $source === $there * self::MIB;
            self::assertSame($isItself ? BlockClass::Holds : BlockClass::Echoes, $patches[0]->class);
            self::assertSame($isItself ? null : 512 * $source, $patches[0]->source);
            self::assertSame(512 * $sectors, $patches[0]->length);
        });
    }

    public function test_any_lap_is_found_by_the_greatest_common_divisor(): void
    {
        $this->forAll(Generators::choose(1, 1 << 30), Generators::vector(6, Generators::choose(1, 50)))->then(function (
            int $sectors,
            array $drawn,
        ): void {
            $laps = self::numbers($drawn);
            $shifts = new Shifts();
            foreach ([...$laps, ($laps[0] ?? 1) + 1] as $times) {
                $shifts->add(512 * $sectors * $times, 512);
            }
            self::assertSame(512 * $sectors, $shifts->lap());
        });
    }

    public function test_any_wrap_and_any_end_is_told_to_the_sector(): void
    {
        $this->forAll(
            Generators::choose(4_000_000, 60_000_000),
            Generators::choose(40, 980),
            Generators::elements(Behaviour::Wraps, Behaviour::Drops, Behaviour::Keeps, Behaviour::Corrupts),
        )->then(function (int $sectors, int $share, Behaviour $behaviour): void {
            $true = 512 * intdiv($sectors * $share, 1000);
            $medium = new Medium(
                $behaviour,
                Bytes::of(512 * $sectors),
                Bytes::of($true),
                Rate::megabytesPerSecond(40),
                read: Rate::megabytesPerSecond(80),
            );
            foreach ([false, true] as $lookBack) {
                $clock = new SimulatedClock();
                $diagnosis = FullProof::on(new SimulatedDevice($medium, $clock), $clock, lookBack: $lookBack)->diagnosis;
                $wraps = in_array($behaviour, [Behaviour::Wraps, Behaviour::Keeps], true);
                self::assertSame(
                    [
                        $wraps ? Condition::Wraps : ($behaviour === Behaviour::Drops ? Condition::Drops : Condition::Corrupts),
                        $true,
                        $wraps ? $true : null,
                    ],
                    [$diagnosis->condition, $diagnosis->capacity->count, $diagnosis->wrap],
                    $medium->line(),
                );
            }
        });
    }

    public function test_a_core_sample_loses_no_byte_and_comes_back_from_being_kept(): void
    {
        $this->forAll(
            Generators::seq(Generators::tuple(Generators::elements(...BlockClass::cases()), Generators::choose(1, 100_000))),
        )->then(function (array $rows): void {
            $core = new BlockMap();
            $at = 0;
            $sums = [];
            foreach ($rows as $row) {
                [$class, $sectors] = is_array($row) ? [...array_values($row), 0, 0] : [0, 0];
                self::assertTrue($class instanceof BlockClass && is_int($sectors));
                $length = 512 * $sectors;
                $core->add(
                    new Patch(
                        $class,
                        $at,
                        $length,
                        $class === BlockClass::Echoes ? $at + 512_000 : null,
                        wrongBits: $class === BlockClass::Scrambled ? 3 : 0,
                    ),
                );
                $sums[$class->value] = ($sums[$class->value] ?? 0) + $length;
                $at += $length;
            }
            foreach ($sums as $class => $bytes) {
                self::assertSame($bytes, $core->bytesByClass()[$class]);
            }
            self::assertSame($at, array_sum(array_map(fn (Patch $patch): int => $patch->length, $core->patches())));
            $packed = json_decode((string) json_encode(Values::plain($core)), true);
            self::assertIsArray($packed);
            self::assertEquals($core, Values::read(BlockMap::class, $packed));
        });
    }

    public function test_a_stretch_is_cut_at_what_was_refused_without_gap_or_overlap(): void
    {
        $this->forAll(
            Generators::seq(Generators::tuple(Generators::choose(0, 50), Generators::choose(1, 9))),
            Generators::choose(0, 500),
            Generators::choose(1, 300),
        )->then(function (array $rows, int $at, int $length): void {
            $refused = new Refused();
            $end = 0;
            $isRefused = [];
            foreach ($rows as $row) {
                [$gap, $long] = [...self::numbers(is_array($row) ? $row : []), 0, 0];
                $refused->add($end + $gap, $long);
                for ($byte = $end + $gap; $byte < $end + $gap + $long; $byte++) {
                    $isRefused[$byte] = true;
                }
                $end += $gap + $long;
            }
            $next = $at;
            foreach ($refused->cut($at, $length) as [$from, $part, $is]) {
                self::assertSame($next, $from);
                for ($byte = $from; $byte < $from + $part; $byte++) {
                    self::assertSame($is, isset($isRefused[$byte]));
                }
                $next = $from + $part;
            }
            self::assertSame($at + $length, $next);
        });
    }
}
