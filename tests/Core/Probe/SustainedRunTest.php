<?php

declare(strict_types=1);

namespace Tests\Core\Probe;

use InvalidArgumentException;
use PHPUnit\Framework\TestCase;
use Tally\Device\Device;
use Tally\Device\FolderDevice;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\Probe\Observing\Phase;
use Tally\Probe\SustainedResult;
use Tally\Probe\SustainedRun;
use Tally\Quantity\Bytes;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tests\Support\StopAt;
use Tests\Support\TemporaryFolder;
use Tests\Support\TroubledDevice;

final class SustainedRunTest extends TestCase
{
    use TemporaryFolder;

    private SimulatedClock $clock;

    protected function setUp(): void
    {
        $this->clock = new SimulatedClock();
    }

    private function card(string $line = 'honest,size=64GB,write=40MB/s,read=90MB/s,cache=16GB,fast=120MB/s'): TroubledDevice
    {
        return new TroubledDevice(new SimulatedDevice(Medium::parse($line), $this->clock));
    }

    private function write(Device $device, ?Bytes $region = null, ?StopAt $watch = null): SustainedResult
    {
        return (new SustainedRun($region))->on($device, $this->clock, $watch ?? new StopAt());
    }

    public function test_it_writes_to_the_end_and_tells_how_fast_all_along(): void
    {
        $result = $this->write($this->card());
        self::assertSame(64_000_000_000, $result->write->bytes->count);
        self::assertFalse($result->stopped);
        self::assertEqualsWithDelta(16e9 / 120e6 + 48e9 / 40e6, $result->write->span->seconds, 30);
        self::assertEqualsWithDelta(120e6, $result->trace[2][1], 4e6);
        self::assertEqualsWithDelta(40e6, $result->trace[count($result->trace) - 2][1], 2e6);
        self::assertSame(64e9, $result->trace[count($result->trace) - 1][0]);
    }

    public function test_it_writes_to_a_size(): void
    {
        $result = $this->write($this->card(), Bytes::gigabytes(10));
        self::assertSame(10_000_000_000, $result->write->bytes->count);
        self::assertSame(64_000_000_000, $this->write($this->card(), Bytes::gigabytes(99))->write->bytes->count);
    }

    public function test_stopped_what_was_settled_counts_and_nothing_else(): void
    {
        $watch = new StopAt(Phase::Writing, 0.5);
        $result = $this->write($this->card(), watch: $watch);
        self::assertTrue($result->stopped);
        self::assertEqualsWithDelta(32e9, $result->write->bytes->count, 1e9);
        self::assertEqualsWithDelta($result->write->bytes->count, $result->trace[count($result->trace) - 1][0], 1);
    }

    public function test_a_full_medium_ends_it_with_a_sentence(): void
    {
        $card = $this->card();
        $card->fullAt = 20_000_000_000;
        $result = $this->write($card);
        self::assertStringContainsString('full', (string) $result->note);
        self::assertFalse($result->stopped);
        self::assertLessThanOrEqual(20_000_000_000, $result->write->bytes->count);
        self::assertGreaterThan(19_000_000_000, $result->write->bytes->count);
    }

    public function test_a_medium_that_goes_away_leaves_what_was_measured(): void
    {
        $card = $this->card();
        $card->goneAtWrite = 30_000_000_000;
        $result = $this->write($card);
        self::assertStringContainsString('the test card', (string) $result->cutShort);
        self::assertGreaterThan(28_000_000_000, $result->write->bytes->count);
        self::assertNotSame([], $result->trace);
    }

    public function test_what_cannot_be_settled_is_not_counted(): void
    {
        $card = $this->card();
        $card->cannotSettle = true;
        $result = $this->write($card);
        self::assertTrue($result->write->bytes->isZero());
        self::assertSame([], $result->trace);
        self::assertStringContainsString('flushing failed', (string) $result->cutShort);
    }

    public function test_a_medium_that_refuses_to_be_written_to_is_a_fault_and_not_an_end(): void
    {
        $card = $this->card();
        $card->unwritable = [[20_000_000_000, 20_000_000_001]];
        $result = $this->write($card);
        self::assertNull($result->note);
        self::assertNotNull($result->cutShort);
        self::assertFalse($result->stopped);
        self::assertGreaterThan(19_000_000_000, $result->write->bytes->count);
    }

    public function test_progress_is_told(): void
    {
        $watch = new StopAt();
        $this->write($this->card(), watch: $watch);
        self::assertGreaterThan(500, count($watch->heard));
        self::assertEqualsWithDelta(1, $watch->heard[count($watch->heard) - 1]->share(), 1e-9);
    }

    public function test_memory_does_not_grow_with_the_size(): void
    {
        $peak = function (string $size): int {
            $card = $this->card("honest,size={$size},write=90MB/s");
            memory_reset_peak_usage();
            $before = memory_get_usage();
            $result = $this->write($card);
            self::assertLessThanOrEqual(512, count($result->trace));

            return memory_get_peak_usage() - $before;
        };
        $peak('1GB');
        self::assertLessThan($peak('64GB') + 1_000_000, $peak('1TB'));
    }

    public function test_on_a_real_folder_every_sample_is_on_the_medium(): void
    {
        $folder = $this->folder('/dev/shm');
        $device = FolderDevice::open(HeldFolder::at($folder), Bytes::parse('48 MiB'));
        try {
            $result = (new SustainedRun())->on($device, new HostClock());
            self::assertSame(48 * 1024 ** 2, $result->write->bytes->count);
            self::assertGreaterThan(0, $result->write->rate()?->bytesPerSecond);
        } finally {
            $device->close();
        }
        self::assertSame([], self::everything($folder));
    }

    public function test_nothing_cannot_be_written(): void
    {
        $this->expectException(InvalidArgumentException::class);
        new SustainedRun(Bytes::of(0));
    }
}
