<?php

declare(strict_types=1);

namespace Tests\Core\Probe;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\FolderDevice;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\Pattern\TestPattern;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;
use Tally\Probe\PassOrder;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\SpeedPlan;
use Tally\Probe\SpeedResult;
use Tally\Probe\SpeedRun;
use Tally\Probe\Trace;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Reading\Summary;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tests\Support\ReadsAhead;
use Tests\Support\StopAt;
use Tests\Support\TemporaryFolder;
use Tests\Support\TroubledDevice;

final class SpeedRunTest extends TestCase
{
    use TemporaryFolder;

    private static function measure(string $medium, ?float $reader = null, int $runs = 5): SpeedResult
    {
        $clock = new SimulatedClock();
        $device = new SimulatedDevice(Medium::parse($medium), $clock, $reader === null ? null : Rate::megabytesPerSecond($reader));

        return (new SpeedRun(SpeedPlan::plain(Bytes::gigabytes(1), $runs)))->on($device, $clock);
    }

    public function test_it_finds_the_speeds_of_the_medium(): void
    {
        $result = self::measure('honest,size=64GB,write=86.4MB/s,read=93MB/s');
        self::assertCount(5, $result->writes);
        self::assertCount(5, $result->reads);
        self::assertEqualsWithDelta(86.4, Summary::of($result->writeRates())->median / 1e6, 2);
        self::assertEqualsWithDelta(93, Summary::of($result->readRates())->median / 1e6, 2);
        self::assertTrue($result->forgot);
        self::assertSame(0, $result->wrong);
    }

    public function test_a_slow_reader_is_what_is_measured_of_a_fast_card(): void
    {
        $result = self::measure('honest,size=64GB,write=240MB/s,read=280MB/s', 90);
        self::assertEqualsWithDelta(90, Summary::of($result->readRates())->median / 1e6, 3);
        self::assertEqualsWithDelta(90, Summary::of($result->writeRates())->median / 1e6, 3);
    }

    public function test_the_same_seed_gives_the_same_speeds_and_another_seed_others(): void
    {
        self::assertSame(self::measure('honest,seed=4')->readRates(), self::measure('honest,seed=4')->readRates());
        self::assertNotSame(self::measure('honest,seed=4')->readRates(), self::measure('honest,seed=5')->readRates());
    }

    public function test_checking_counts_with_reading_since_the_next_is_on_its_way_meanwhile(): void
    {
        $clock = new SimulatedClock();
        // Each stretch is waited for one second, and looked at for three.
        $device = new ReadsAhead(new SimulatedDevice(Medium::parse('honest,size=64GB,write=1000GB/s,read=1000GB/s'), $clock), $clock, 1, 3);
        $size = Bytes::of(3 * $device->stretch());
        $result = (new SpeedRun(SpeedPlan::plain($size, 1)))->on($device, $clock);
        self::assertEqualsWithDelta(12, $result->reads[0]->span->seconds, 0.1);
        self::assertEqualsWithDelta(12, FullProof::on($device, $clock, upTo: $size)->read->span->seconds, 0.1);
    }

    public function test_only_whole_passages_count_when_it_is_stopped(): void
    {
        $clock = new SimulatedClock();
        $device = new SimulatedDevice(Medium::parse('honest,size=64GB'), $clock);
        $result = (new SpeedRun(SpeedPlan::plain(Bytes::gigabytes(1), 5)))->on($device, $clock, new StopAt(Phase::Reading, 0.5, 3));
        self::assertTrue($result->stopped);
        self::assertCount(3, $result->writes);
        self::assertCount(2, $result->reads);
    }

    public function test_a_card_pulled_out_keeps_the_looks_before(): void
    {
        $clock = new SimulatedClock();
        $device = new TroubledDevice(new SimulatedDevice(Medium::parse('honest,size=2GB'), $clock));
        $looks = 0;
        $device->betweenPasses = function () use ($device, &$looks): void {
            $device->goneAtWrite = ++$looks === 2 ? 0 : null;
        };
        $result = (new SpeedRun(SpeedPlan::plain(Bytes::gigabytes(1), 5)))->on($device, $clock);
        self::assertCount(2, $result->writes);
        self::assertCount(2, $result->reads);
        self::assertStringContainsString('is gone', (string) $result->cutShort);
    }

    public function test_a_card_that_cannot_be_flushed_has_no_speed(): void
    {
        $device = new TroubledDevice(new SimulatedDevice(Medium::parse('honest,size=2GB'), new SimulatedClock()));
        $device->cannotSettle = true;
        $result = (new SpeedRun(SpeedPlan::plain(Bytes::gigabytes(1))))->on($device, new HostClock());
        self::assertSame([], $result->writes);
        self::assertStringContainsString('flushing failed', (string) $result->cutShort);
    }

    public function test_data_that_comes_back_changed_is_counted(): void
    {
        $result = self::measure('wraps,size=4GB,true=500000256B', runs: 1);
        self::assertSame(1_000_000_000 - 500_000_256, $result->wrong);
    }

    public function test_what_cannot_be_read_is_counted_and_not_timed(): void
    {
        $clock = new SimulatedClock();
        $device = new TroubledDevice(new SimulatedDevice(Medium::parse('honest,size=2GB'), $clock));
        $device->unreadable = [[0, 1]];
        $result = (new SpeedRun(SpeedPlan::plain(Bytes::gigabytes(1), 1)))->on($device, $clock);
        self::assertSame($device->stretch(), $result->wrong);
        self::assertSame(1_000_000_000 - $device->stretch(), $result->reads[0]->bytes->count);
    }

    public function test_the_region_is_no_larger_than_the_medium(): void
    {
        $clock = new SimulatedClock();
        $result = (new SpeedRun(SpeedPlan::plain(Bytes::gigabytes(1), 1)))->on(
            new SimulatedDevice(Medium::parse('honest,size=100MB'), $clock),
            $clock,
        );
        self::assertSame(100_000_000, $result->region->count);
    }

    public function test_on_a_real_folder(): void
    {
        $folder = $this->folder();
        $device = FolderDevice::open(HeldFolder::at($folder), Bytes::of(8 * TestPattern::BLOCK));
        $result = (new SpeedRun(SpeedPlan::plain(Bytes::of(8 * TestPattern::BLOCK), 3)))->on($device, new HostClock());
        $device->close();
        self::assertCount(3, $result->writeRates());
        self::assertCount(3, $result->readRates());
        self::assertSame(0, $result->wrong);
        self::assertSame([], self::everything($folder));
    }

    /**
     * @return iterable<string, array{int, int, int, int|null, int, float, string}> bytes, runs, from, block, warm-ups, pause,
     * what is said
     */
    public static function impossible(): iterable
    {
        yield 'nothing' => [0, 5, 0, null, 0, 0, '0 B were given'];
        yield 'no run' => [1, 0, 0, null, 0, 0, '0 were given'];
        yield 'too many runs' => [1, 51, 0, null, 0, 0, '51 were given'];
        yield 'from a byte' => [1, 1, 1, null, 0, 0, 'whole MiB; 1 B was given'];
        yield 'an odd block' => [1, 1, 0, 1_000_000, 0, 0, 'or 64 MiB; 1 MB was given'];
        yield 'a block that does not fit the files' => [1, 1, 0, 3 * TestPattern::BLOCK, 0, 0, 'A block is 1, 2, 4, 8, 16, 32 or 64 MiB'];
        yield 'a large block' => [1, 1, 0, 65 * TestPattern::BLOCK, 0, 0, 'A block is 1, 2, 4'];
        yield 'many warm-ups' => [1, 1, 0, null, 6, 0, '0 to 5 warm-up runs; 6 were given'];
        yield 'a long pause' => [1, 1, 0, null, 0, 3601, 'an hour at most'];
    }

    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_refused_with_a_sentence(
        int $bytes,
        int $runs,
        int $from,
        ?int $block,
        int $warmUps,
        float $pause,
        string $said,
    ): void {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage($said);
        new SpeedPlan(
            Bytes::of($bytes),
            $runs,
            Bytes::of($from),
            $block === null ? null : Bytes::of($block),
            order: PassOrder::Alternating,
            warmUps: $warmUps,
            pause: Span::seconds($pause),
        );
    }

    private static function planned(Device $device, Clock $clock, SpeedPlan $plan): SpeedResult
    {
        return (new SpeedRun($plan))->on($device, $clock);
    }

    public function test_warm_ups_are_carried_out_and_not_counted(): void
    {
        $clock = new SimulatedClock();
        $device = new SimulatedDevice(Medium::parse('honest,size=64GB,write=100MB/s,read=100MB/s'), $clock);
        $result = self::planned(
            $device,
            $clock,
            new SpeedPlan(Bytes::gigabytes(1), 3, Bytes::of(0), null, order: PassOrder::Alternating, warmUps: 2, pause: Span::seconds(0)),
        );
        self::assertCount(3, $result->writes);
        self::assertCount(3, $result->reads);
        self::assertEqualsWithDelta(100, $clock->now(), 5); // five rounds of 10 s + 10 s
    }

    public function test_pauses_cool_between_runs_and_are_in_no_speed(): void
    {
        $clock = new SimulatedClock();
        $device = new SimulatedDevice(Medium::parse('honest,size=64GB,write=100MB/s,read=100MB/s'), $clock);
        $result = self::planned(
            $device,
            $clock,
            new SpeedPlan(Bytes::gigabytes(1), 3, Bytes::of(0), null, order: PassOrder::Alternating, warmUps: 0, pause: Span::seconds(30)),
        );
        self::assertEqualsWithDelta(120, $clock->now(), 5); // 3 × 20 s, and two pauses
        self::assertEqualsWithDelta(100e6, Summary::of($result->writeRates())->mean, 3e6);
    }

    public function test_all_writes_first_then_all_reads_of_the_last_one(): void
    {
        $clock = new SimulatedClock();
        $device = new SimulatedDevice(Medium::parse('honest,size=4GB'), $clock);
        $phases = [];
        $watch = new class($phases) implements Observer
        {
            /** @param  list<string>  $phases */
            public function __construct(public array $phases) {}

            public function progress(Progress $progress): void
            {
                if (end($this->phases) !== $progress->phase->value) {
                    $this->phases[] = $progress->phase->value;
                }
            }

            public function wantsStop(): bool
            {
                return false;
            }
        };
        $result = (new SpeedRun(
            new SpeedPlan(Bytes::gigabytes(1), 2, Bytes::of(0), null, order: PassOrder::WritesFirst, warmUps: 0, pause: Span::seconds(0)),
        ))->on($device, $clock, $watch);
        self::assertSame(['writing', 'settling', 'writing', 'settling', 'reading'], $watch->phases);
        self::assertCount(2, $result->reads);
        self::assertSame(0, $result->wrong);
    }

    public function test_a_region_further_on_is_where_it_is_said_to_be(): void
    {
        $clock = new SimulatedClock();
        // The first 2 GB hold and the rest is dropped: only a region beyond comes back wrong.
        $device = fn (): SimulatedDevice => new SimulatedDevice(Medium::parse('drops,size=8GB,true=2147483648B'), $clock);
        $plan = fn (int $from): SpeedPlan => new SpeedPlan(
            Bytes::of(64 * TestPattern::BLOCK),
            1,
            Bytes::of($from),
            Bytes::of(4 * TestPattern::BLOCK),
            order: PassOrder::Alternating,
            warmUps: 0,
            pause: Span::seconds(0),
        );
        self::assertSame(0, self::planned($device(), $clock, $plan(0))->wrong);
        self::assertSame(64 * TestPattern::BLOCK, self::planned($device(), $clock, $plan(2_147_483_648))->wrong);
        self::assertSame('67.11 MB from 2.15 GB on', SpeedPlan::covering(Bytes::of(64 * TestPattern::BLOCK), Bytes::of(2_147_483_648)));
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
