<?php

declare(strict_types=1);

namespace Tests\Core\Probe;

use InvalidArgumentException;
use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\FolderDevice;
use Tally\Device\HostClock;
use Tally\Pattern\Imprint;
use Tally\Probe\SpeedResult;
use Tally\Probe\SpeedRun;
use Tally\Probe\Trace;
use Tally\Probe\Watch\Phase;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Summary;
use Tally\StandIn\Medium;
use Tally\StandIn\StandInClock;
use Tally\StandIn\StandInDevice;
use Tests\Support\StopAt;
use Tests\Support\TemporaryFolder;
use Tests\Support\TroubledDevice;

final class SpeedRunTest extends TestCase
{
    use TemporaryFolder;

    private static function measure(string $medium, ?float $reader = null, int $runs = 5): SpeedResult
    {
        $clock = new StandInClock;
        $device = new StandInDevice(Medium::parse($medium), $clock, $reader === null ? null : Rate::megabytesPerSecond($reader));

        return (new SpeedRun(Bytes::gigabytes(1), $runs))->on($device, $clock);
    }

    public function test_it_finds_the_speeds_of_the_medium(): void
    {
        $result = self::measure('honest,size=64GB,write=86.4MB/s,read=93MB/s');
        self::assertCount(5, $result->looks);
        self::assertEqualsWithDelta(86.4, Summary::of($result->writes())->median / 1e6, 2);
        self::assertEqualsWithDelta(93, Summary::of($result->reads())->median / 1e6, 2);
        self::assertTrue($result->forgot());
        self::assertSame(0, $result->wrong());
    }

    public function test_a_slow_reader_is_what_is_measured_of_a_fast_card(): void
    {
        $result = self::measure('honest,size=64GB,write=240MB/s,read=280MB/s', 90);
        self::assertEqualsWithDelta(90, Summary::of($result->reads())->median / 1e6, 3);
        self::assertEqualsWithDelta(90, Summary::of($result->writes())->median / 1e6, 3);
    }

    public function test_the_same_seed_gives_the_same_speeds_and_another_seed_others(): void
    {
        self::assertSame(self::measure('honest,seed=4')->reads(), self::measure('honest,seed=4')->reads());
        self::assertNotSame(self::measure('honest,seed=4')->reads(), self::measure('honest,seed=5')->reads());
    }

    public function test_only_whole_looks_count_when_it_is_stopped(): void
    {
        $clock = new StandInClock;
        $device = new StandInDevice(Medium::parse('honest,size=64GB'), $clock);
        $result = (new SpeedRun(Bytes::gigabytes(1), 5))->on($device, $clock, new StopAt(Phase::Reading, 0.5, 3));
        self::assertTrue($result->stopped);
        self::assertCount(2, $result->looks);
    }

    public function test_a_card_pulled_out_keeps_the_looks_before(): void
    {
        $clock = new StandInClock;
        $device = new TroubledDevice(new StandInDevice(Medium::parse('honest,size=2GB'), $clock));
        $looks = 0;
        $device->betweenPasses = function () use ($device, &$looks): void {
            $device->goneAtWrite = ++$looks === 2 ? 0 : null;
        };
        $result = (new SpeedRun(Bytes::gigabytes(1), 5))->on($device, $clock);
        self::assertCount(2, $result->looks);
        self::assertStringContainsString('is gone', (string) $result->cutShort);
    }

    public function test_a_card_that_cannot_be_flushed_has_no_speed(): void
    {
        $device = new TroubledDevice(new StandInDevice(Medium::parse('honest,size=2GB'), new StandInClock));
        $device->cannotSettle = true;
        $this->expectException(CannotSettle::class);
        (new SpeedRun(Bytes::gigabytes(1)))->on($device, new HostClock);
    }

    public function test_data_that_comes_back_changed_is_counted(): void
    {
        $result = self::measure('wraps,size=4GB,true=500000256B', runs: 1);
        self::assertSame(1_000_000_000 - 500_000_256, $result->wrong());
    }

    public function test_what_cannot_be_read_is_counted_and_not_timed(): void
    {
        $clock = new StandInClock;
        $device = new TroubledDevice(new StandInDevice(Medium::parse('honest,size=2GB'), $clock));
        $device->unreadable = [[0, 1]];
        $result = (new SpeedRun(Bytes::gigabytes(1), 1))->on($device, $clock);
        self::assertSame($device->stretch(), $result->wrong());
        self::assertSame(1_000_000_000 - $device->stretch(), $result->looks[0]->read->bytes->count);
    }

    public function test_the_region_is_no_larger_than_the_medium(): void
    {
        $clock = new StandInClock;
        $result = (new SpeedRun(Bytes::gigabytes(1), 1))->on(new StandInDevice(Medium::parse('honest,size=100MB'), $clock), $clock);
        self::assertSame(100_000_000, $result->region->count);
    }

    public function test_on_a_real_folder(): void
    {
        $folder = $this->folder();
        $device = FolderDevice::open($folder, Bytes::of(8 * Imprint::BLOCK));
        $result = (new SpeedRun(Bytes::of(8 * Imprint::BLOCK), 3))->on($device, new HostClock);
        $device->clear();
        self::assertCount(3, $result->writes());
        self::assertCount(3, $result->reads());
        self::assertSame(0, $result->wrong());
        self::assertSame([], self::everything($folder));
    }

    public function test_nothing_and_too_many_runs_are_refused(): void
    {
        foreach ([[0, 5], [1, 0], [1, 51]] as [$bytes, $runs]) {
            try {
                new SpeedRun(Bytes::of($bytes), $runs);
                self::fail('It was taken.');
            } catch (InvalidArgumentException $fault) {
                self::assertStringContainsString("and {$runs} were given", $fault->getMessage());
            }
        }
    }

    public function test_a_trace_keeps_its_length_however_long_the_run(): void
    {
        $trace = new Trace(1000);
        for ($i = 0; $i < 100_000; $i++) {
            $trace->add(1000, $i < 50_000 ? 0.1 : 0.2);
        }
        $points = $trace->points();
        self::assertLessThanOrEqual(513, count($points));
        self::assertSame(100_000_000.0, end($points)[0] ?? null);
        self::assertEqualsWithDelta(10_000, $points[10][1], 1);
        self::assertEqualsWithDelta(5_000, $points[count($points) - 10][1], 1);
    }

    public function test_a_trace_of_nothing_has_no_points(): void
    {
        self::assertSame([], (new Trace(1000))->points());
    }

    public function test_a_trace_takes_moves_longer_than_a_bin_apart(): void
    {
        $trace = new Trace(1000);
        $trace->add(2500, 2.5);
        self::assertEquals([[1000.0, 1000.0], [2000.0, 1000.0], [2500.0, 1000.0]], $trace->points());
    }
}
