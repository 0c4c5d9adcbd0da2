<?php

declare(strict_types=1);

namespace Tests\Core\Probe;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\FolderDevice;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\Pattern\BlockClass;
use Tally\Pattern\TestPattern;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\Proof\ProofResult;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tests\Support\StopAt;
use Tests\Support\TemporaryFolder;
use Tests\Support\TroubledDevice;

final class FullProofTest extends TestCase
{
    use TemporaryFolder;

    private static function prove(string $medium, bool $lookBack = false): ProofResult
    {
        $clock = new SimulatedClock();

        return FullProof::on(new SimulatedDevice(Medium::parse($medium), $clock), $clock, lookBack: $lookBack);
    }

    /** @return iterable<string, array{string, Condition, int, int|null, int|null}> medium, condition, capacity, wrap, first bad */
    public static function media(): iterable
    {
        $gb = 1_000_000_000;
        yield 'honest' => ['honest,size=32GB', Condition::Whole, 32 * $gb, null, null];
        yield 'labelled 32, wraps at 8' => ['wraps,size=32GB,true=8GB', Condition::Wraps, 8 * $gb, 8 * $gb, 0];
        yield 'labelled 32, keeps 4' => ['drops,size=32GB,true=4GB', Condition::Drops, 4 * $gb, null, 4 * $gb];
        yield 'wraps less than twice' => ['wraps,size=32GB,true=20GB', Condition::Wraps, 20 * $gb, 20 * $gb, 0];
        yield 'wraps just short of its label' => [
            'wraps,size=32GB,true=31.5GB',
            Condition::Wraps,
            (int) (31.5 * $gb),
            (int) (31.5 * $gb),
            0,
        ];
        yield 'wraps out of step with our blocks' => [
            'wraps,size=31914983424B,true=7977041920B',
            Condition::Wraps,
            7_977_041_920,
            7_977_041_920,
            0,
        ];
        yield 'wraps at an odd sector' => ['wraps,size=16GB,true=3999999488B', Condition::Wraps, 3_999_999_488, 3_999_999_488, 0];
        yield 'wraps many times' => ['wraps,size=128GB,true=1GB', Condition::Wraps, $gb, $gb, 0];
        yield 'a terabyte that keeps sixty' => ['drops,size=1TB,true=60GB', Condition::Drops, 60 * $gb, null, 60 * $gb];
        yield 'an honest terabyte' => ['honest,size=1TB', Condition::Whole, 1000 * $gb, null, null];
        yield 'the largest card there can be' => ['wraps,size=128TB,true=2TB', Condition::Wraps, 2000 * $gb, 2000 * $gb, 0];
    }

    #[DataProvider('media')]
    public function test_it_names_kind_capacity_and_wrap(
        string $medium,
        Condition $condition,
        int $capacity,
        ?int $wrap,
        ?int $firstBad,
    ): void {
        $result = self::prove($medium);
        $diagnosis = $result->diagnosis;
        self::assertSame(
            [$condition, $capacity, $wrap, $firstBad],
            [$diagnosis->condition, $diagnosis->capacity->count, $diagnosis->wrap, $result->core->firstBad()],
        );
        self::assertTrue($result->isComplete());
        self::assertSame($result->size->count, array_sum($result->core->bytesByClass()));
    }

    #[DataProvider('media')]
    public function test_looking_back_names_the_same_and_ends_a_fake_early(
        string $medium,
        Condition $condition,
        int $capacity,
        ?int $wrap,
    ): void {
        $result = self::prove($medium, lookBack: true);
        self::assertSame(
            [$condition, $capacity, $wrap],
            [$result->diagnosis->condition, $result->diagnosis->capacity->count, $result->diagnosis->wrap],
        );
        self::assertSame($condition === Condition::Whole, $result->alarmAt === null);
        self::assertSame($condition === Condition::Whole, $result->isComplete());
        self::assertFalse($result->stopped);
    }

    public function test_a_proof_of_days_ends_within_its_first_hour_on_a_fake(): void
    {
        foreach (['wraps', 'drops'] as $kind) {
            $clock = new SimulatedClock();
            $device = new SimulatedDevice(Medium::parse("{$kind},size=1TB,true=60GB,write=11.7MB/s,read=7MB/s"), $clock);
            $result = FullProof::on($device, $clock);
            self::assertSame(60_000_000_000, $result->diagnosis->capacity->count);
            self::assertLessThan(3600, $clock->now(), $kind);
        }
    }

    public function test_looking_back_takes_less_than_a_hundredth_of_the_time(): void
    {
        foreach (['32GB', '1TB'] as $size) {
            $took = [];
            foreach ([true, false] as $lookBack) {
                $clock = new SimulatedClock();
                $device = new SimulatedDevice(Medium::parse("honest,size={$size},write=20MB/s,read=84MB/s"), $clock);
                FullProof::on($device, $clock, lookBack: $lookBack);
                $took[] = $clock->now();
            }
            self::assertLessThan(1.01, $took[0] / $took[1], $size);
        }
    }

    public function test_a_part_can_be_proven(): void
    {
        $clock = new SimulatedClock();
        $device = new SimulatedDevice(Medium::parse('wraps,size=32GB,true=8GB'), $clock);
        $result = FullProof::on($device, $clock, new StopAt(), Bytes::gigabytes(5), lookBack: false);
        self::assertSame([5_000_000_000, 5_000_000_000], [$result->size->count, $result->core->bytes(BlockClass::Holds)]);
        self::assertTrue($result->isComplete());
        // One block beyond the true size is enough to meet the first echo.
        $result = FullProof::on($device, $clock, new StopAt(), Bytes::of(8_000_000_000 + 512), lookBack: false);
        self::assertSame([512, 0], [$result->core->bytes(BlockClass::Echoes), $result->core->firstBad()]);
        $more = FullProof::on($device, $clock, new StopAt(), Bytes::gigabytes(64), lookBack: false);
        self::assertSame(32_000_000_000, $more->size->count, 'no more than there is');
    }

    public function test_on_a_card_that_wraps_the_last_lap_holds(): void
    {
        $result = self::prove('wraps,size=32GB,true=8GB');
        self::assertSame(8_000_000_000, $result->core->bytes(BlockClass::Holds));
        self::assertSame(24_000_000_000, $result->core->bytes(BlockClass::Echoes));
        $patches = $result->core->patches();
        $last = end($patches);
        self::assertNotFalse($last);
        self::assertSame([BlockClass::Holds, 24_000_000_000], [$last->class, $last->offset]);
    }

    public function test_bad_patches_are_a_fault_and_no_fake(): void
    {
        $result = self::prove('patchy,size=32GB,patches=7,seed=3');
        self::assertSame(Condition::Faulty, $result->diagnosis->condition);
        $bad = array_filter($result->core->patches(), fn ($patch): bool => $patch->class === BlockClass::Scrambled);
        self::assertCount(7, $bad);
        self::assertGreaterThan(0, $result->core->wrongBits());
        self::assertSame(32_000_000_000 - $result->core->bytes(BlockClass::Scrambled), $result->diagnosis->capacity->count);
    }

    public function test_speeds_and_times_are_those_of_the_medium(): void
    {
        $result = self::prove('honest,size=32GB,write=20MB/s,read=84.1MB/s');
        self::assertEqualsWithDelta(20e6, $result->write->rate()?->bytesPerSecond, 0.3e6);
        self::assertEqualsWithDelta(84.1e6, $result->read->rate()?->bytesPerSecond, 2.5e6);
    }

    public function test_the_trace_shows_where_a_cache_runs_out(): void
    {
        $result = self::prove('honest,size=128GB,write=41MB/s,cache=31GB,fast=118MB/s');
        $at = fn (float $share): float => $result->writeTrace[(int) ($share * (count($result->writeTrace) - 1))][1] / 1e6;
        self::assertEqualsWithDelta(118, $at(0.1), 3);
        self::assertEqualsWithDelta(41, $at(0.5), 2);
        self::assertLessThanOrEqual(513, count($result->writeTrace));
    }

    public function test_on_a_real_folder_everything_holds_and_nothing_stays(): void
    {
        $folder = $this->folder();
        $device = FolderDevice::open(HeldFolder::at($folder), Bytes::of(20 * TestPattern::BLOCK + 777));
        $result = FullProof::on($device, new HostClock());
        $device->close();
        self::assertSame(20 * TestPattern::BLOCK + 777, $result->core->bytes(BlockClass::Holds));
        self::assertSame([], self::everything($folder));
    }

    /** @return iterable<string, array{int}> */
    public static function places(): iterable
    {
        $block = TestPattern::BLOCK;
        foreach ([0, 511, 512, $block - 1, $block, 5 * $block + 123_456, 8 * $block + 99] as $at) {
            yield "byte {$at}" => [$at];
        }
    }

    #[DataProvider('places')]
    public function test_a_single_byte_flipped_between_the_passes_is_found_in_its_sector(int $at): void
    {
        $folder = $this->folder();
        $device = FolderDevice::open(HeldFolder::at($folder), Bytes::of(8 * TestPattern::BLOCK + 100));
        $troubled = new TroubledDevice($device);
        $troubled->betweenPasses = function () use ($folder, $at): void {
            $files = glob($folder.'/gritty-tally-*/*.tally');
            assert(is_array($files));
            $handle = fopen($files[0], 'r+b');
            assert($handle !== false);
            fseek($handle, $at);
            $byte = (string) fread($handle, 1);
            fseek($handle, $at);
            fwrite($handle, chr(ord($byte) ^ 0x10));
            fclose($handle);
        };
        $result = FullProof::on($troubled, new HostClock());
        $device->close();
        self::assertSame($at - ($at % 512), $result->core->firstBad());
        self::assertSame(1, $result->core->wrongBits());
        self::assertSame(min(512, 8 * TestPattern::BLOCK + 100 - ($at - ($at % 512))), $result->core->bytes(BlockClass::Scrambled));
    }

    private static function troubled(string $medium = 'honest,size=64MB'): TroubledDevice
    {
        return new TroubledDevice(new SimulatedDevice(Medium::parse($medium), new SimulatedClock()));
    }

    public function test_places_that_cannot_be_read_are_narrowed_down(): void
    {
        $device = self::troubled();
        $device->unreadable = [[10_000_000, 10_000_100]];
        $core = FullProof::on($device, new HostClock())->core;
        self::assertSame(512, $core->bytes(BlockClass::Unreadable));
        self::assertSame(64_000_000 - 512, $core->bytes(BlockClass::Holds));
        self::assertSame(10_000_000 - (10_000_000 % 512), $core->firstBad());
    }

    public function test_places_that_cannot_be_written_count_as_unreadable_and_the_proof_goes_on(): void
    {
        $device = self::troubled();
        $device->unwritable = [[3 * TestPattern::BLOCK, 4 * TestPattern::BLOCK]];
        $result = FullProof::on($device, new HostClock());
        self::assertSame(TestPattern::BLOCK, $result->core->bytes(BlockClass::Unreadable));
        self::assertSame(64_000_000 - TestPattern::BLOCK, $result->write->bytes->count);
        self::assertSame(Condition::Faulty, $result->diagnosis->condition);
    }

    public function test_a_disk_that_fills_up_ends_the_writing_and_what_was_written_is_proven(): void
    {
        $device = self::troubled();
        $device->fullAt = 20 * TestPattern::BLOCK;
        $result = FullProof::on($device, new HostClock());
        self::assertSame(20 * TestPattern::BLOCK, $result->core->bytes(BlockClass::Holds));
        self::assertFalse($result->isComplete());
        self::assertFalse($result->stopped);
        self::assertStringContainsString('was full after', (string) $result->note);
    }

    public function test_a_flush_that_fails_is_noted_and_reading_back_tells_the_rest(): void
    {
        $device = self::troubled();
        $device->cannotSettle = true;
        $result = FullProof::on($device, new HostClock());
        self::assertTrue($result->isComplete());
        self::assertStringContainsString('could not bring the data onto', (string) $result->note);
    }

    public function test_a_card_pulled_out_while_writing_proves_nothing(): void
    {
        $device = self::troubled();
        $device->goneAtWrite = 10 * TestPattern::BLOCK;
        $result = FullProof::on($device, new HostClock());
        self::assertSame(0, $result->core->covered());
        self::assertSame(Condition::Unknown, $result->diagnosis->condition);
        self::assertStringContainsString('is gone', (string) $result->cutShort);
    }

    public function test_a_card_pulled_out_while_reading_keeps_what_was_read(): void
    {
        $device = self::troubled();
        $device->goneAtRead = 10 * TestPattern::BLOCK;
        $result = FullProof::on($device, new HostClock());
        self::assertSame(10 * TestPattern::BLOCK, $result->core->bytes(BlockClass::Holds));
        self::assertTrue($result->stopped);
        self::assertNotNull($result->cutShort);
    }

    public function test_it_stops_between_stretches(): void
    {
        $clock = new SimulatedClock();
        $result = FullProof::on(new SimulatedDevice(Medium::parse('honest,size=32GB'), $clock), $clock, new StopAt(Phase::Writing, 0.3));
        self::assertTrue($result->stopped);
        self::assertSame(0, $result->core->covered());
        self::assertEqualsWithDelta(0.3 * 32e9, $result->write->bytes->count, 40e6);

        $clock = new SimulatedClock();
        $result = FullProof::on(new SimulatedDevice(Medium::parse('honest,size=32GB'), $clock), $clock, new StopAt(Phase::Reading, 0.5));
        self::assertTrue($result->stopped);
        self::assertEqualsWithDelta(16e9, $result->core->covered(), 40e6);
    }

    public function test_progress_goes_from_nothing_to_all_without_a_step_back(): void
    {
        $clock = new SimulatedClock();
        $watch = new StopAt();
        FullProof::on(new SimulatedDevice(Medium::parse('honest,size=8GB'), $clock), $clock, $watch);
        $shares = array_map(fn ($progress): float => $progress->share(), $watch->heard);
        $sorted = $shares;
        sort($sorted);
        self::assertSame($sorted, $shares);
        self::assertSame(1.0, end($shares));
        self::assertLessThan(0.01, $shares[0]);
    }

    public function test_memory_does_not_grow_with_the_size(): void
    {
        $peak = function (int $blocks): int {
            $device = FolderDevice::open(HeldFolder::at($this->folder()), Bytes::of($blocks * TestPattern::BLOCK));
            memory_reset_peak_usage();
            $before = memory_get_usage();
            FullProof::on($device, new HostClock());
            $device->close();

            return memory_get_peak_usage() - $before;
        };
        $peak(4);
        self::assertEqualsWithDelta($peak(16), $peak(96), 256 * 1024);
    }
}
