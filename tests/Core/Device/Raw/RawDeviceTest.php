<?php

declare(strict_types=1);

namespace Tests\Core\Device\Raw;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HostClock;
use Tally\Device\Raw\Guard;
use Tally\Device\Raw\RawDevice;
use Tally\Pattern\TestPattern;
use Tally\Probe\Proof\FullProof;
use Tally\Quantity\Bytes;
use Tests\Support\TemporaryFolder;

final class RawDeviceTest extends TestCase
{
    use TemporaryFolder;

    private function image(int $bytes, string $under = '/tmp'): string
    {
        $path = $this->folder($under).'/card.img';
        $handle = fopen($path, 'w');
        self::assertNotFalse($handle);
        ftruncate($handle, max(0, $bytes));
        fclose($handle);

        return $path;
    }

    /** @return iterable<string, array{int, string}> bytes, under which folder */
    public static function sizes(): iterable
    {
        yield 'whole blocks' => [24 * TestPattern::BLOCK, '/tmp'];
        yield 'a tail of sectors' => [20 * TestPattern::BLOCK + 7 * 512, '/tmp'];
        yield 'a tail that is no sector' => [20 * TestPattern::BLOCK + 777, '/tmp'];
        yield 'in memory, where nothing goes past the cache' => [24 * TestPattern::BLOCK, '/dev/shm'];
    }

    #[DataProvider('sizes')]
    public function test_an_image_is_proven_to_its_last_byte(int $bytes, string $under): void
    {
        $device = RawDevice::open($this->image($bytes, $under), new Guard([]));
        $result = FullProof::on($device, new HostClock());
        $device->close();
        self::assertSame([$bytes, 0, $bytes], [$result->core->covered(), $result->core->bad(), $device->size()->count]);
        // A file system in memory has no medium behind the host's cache.
        self::assertSame($under === '/tmp', $result->forgot);
    }

    public function test_what_is_on_the_medium_is_what_was_written(): void
    {
        $path = $this->image(8 * TestPattern::BLOCK);
        $device = RawDevice::open($path, new Guard([]));
        $imprint = new TestPattern(5, Bytes::of(8 * TestPattern::BLOCK));
        $device->write(2 * TestPattern::BLOCK, $imprint->stretch(2 * TestPattern::BLOCK, TestPattern::BLOCK));
        $device->write(512, $imprint->stretch(512, 1024));
        $device->settle();
        $there = file_get_contents($path, false, null, 2 * TestPattern::BLOCK, TestPattern::BLOCK);
        self::assertSame($imprint->block(2 * TestPattern::BLOCK), $there);
        self::assertSame($imprint->range(512, 1024), file_get_contents($path, false, null, 512, 1024));
        self::assertSame(
            str_repeat("\0", 512),
            file_get_contents($path, false, null, 0, 512),
            'a write that is out of step spoils no neighbour',
        );
    }

    public function test_what_was_fetched_ahead_is_not_served_after_it_was_changed(): void
    {
        $path = $this->image(8 * TestPattern::BLOCK);
        $device = RawDevice::open($path, new Guard([]));
        $imprint = new TestPattern(5, Bytes::of(8 * TestPattern::BLOCK));
        $device->read(0, TestPattern::BLOCK);
        $device->read(TestPattern::BLOCK, TestPattern::BLOCK);
        $device->write(2 * TestPattern::BLOCK, $imprint->stretch(2 * TestPattern::BLOCK, TestPattern::BLOCK));
        self::assertSame($imprint->block(2 * TestPattern::BLOCK), $device->read(2 * TestPattern::BLOCK, TestPattern::BLOCK)->bytes());
        // And after the host was made to forget, what somebody else wrote is seen.
        $device->read(3 * TestPattern::BLOCK, TestPattern::BLOCK);
        $device->read(4 * TestPattern::BLOCK, TestPattern::BLOCK);
        $device->forget();
        $handle = fopen($path, 'r+');
        self::assertNotFalse($handle);
        fseek($handle, 5 * TestPattern::BLOCK);
        fwrite($handle, 'changed');
        fclose($handle);
        self::assertStringStartsWith('changed', $device->read(5 * TestPattern::BLOCK, TestPattern::BLOCK)->bytes());
    }

    public function test_a_path_that_leads_elsewhere_ends_the_run_and_nothing_is_written_there(): void
    {
        $path = $this->image(8 * TestPattern::BLOCK);
        $device = RawDevice::open($path, new Guard([]));
        $imprint = new TestPattern(5, Bytes::of(8 * TestPattern::BLOCK));
        $device->write(0, $imprint->stretch(0, TestPattern::BLOCK));
        rename($path, "{$path}.away");
        $other = str_repeat('footage ', 200_000);
        file_put_contents($path, $other);
        try {
            $device->write(TestPattern::BLOCK, $imprint->stretch(TestPattern::BLOCK, TestPattern::BLOCK));
            self::fail('it went on');
        } catch (MediumGone $gone) {
            self::assertStringContainsString('leads to another medium', $gone->getMessage());
        }
        self::assertSame($other, file_get_contents($path));
        unlink($path);
        $this->expectException(MediumGone::class);
        $this->expectExceptionMessage('is gone');
        $device->read(0, TestPattern::BLOCK);
    }

    public function test_a_proof_whose_medium_is_swapped_in_mid_run_keeps_what_it_has(): void
    {
        $path = $this->image(64 * TestPattern::BLOCK);
        $device = RawDevice::open($path, new Guard([]));
        rename($path, "{$path}.away");
        $result = FullProof::on($device, new HostClock());
        self::assertNotNull($result->cutShort);
        self::assertSame(0, $result->core->covered());
    }

    public function test_a_full_disk_behind_an_image_is_told(): void
    {
        exec('mount -t tmpfs -o size=8m tmpfs '.escapeshellarg($folder = $this->folder()).' 2>/dev/null', $output, $code);
        if ($code !== 0) {
            self::markTestSkipped('Mounting takes root.');
        }
        try {
            exec('truncate -s 32M '.escapeshellarg("{$folder}/card.img"));
            $device = RawDevice::open("{$folder}/card.img", new Guard([]));
            $result = FullProof::on($device, new HostClock());
            $device->close();
            self::assertStringContainsString('was full after', (string) $result->note);
            self::assertLessThanOrEqual(9 * TestPattern::BLOCK, $result->write->bytes->count);
        } finally {
            exec('umount '.escapeshellarg($folder));
        }
    }

    public function test_two_runs_at_once_on_one_medium_are_refused(): void
    {
        $path = $this->image(8 * TestPattern::BLOCK);
        $first = RawDevice::open($path, new Guard([]));
        try {
            RawDevice::open($path, new Guard([]));
            self::fail('both were let in');
        } catch (UnusablePath $fault) {
            // The first one has it open, which is found out even before its lock is.
            self::assertMatchesRegularExpression('/using|open/', $fault->getMessage());
        }
        $first->close();
        $again = RawDevice::open($path, new Guard([]));
        self::assertSame(8 * TestPattern::BLOCK, $again->size()->count);
        $again->close();
    }

    public function test_memory_does_not_grow_with_the_size(): void
    {
        $peaks = [];
        foreach ([8, 96] as $blocks) {
            $device = RawDevice::open($this->image($blocks * TestPattern::BLOCK), new Guard([]));
            memory_reset_peak_usage();
            FullProof::on($device, new HostClock());
            $device->close();
            $peaks[] = memory_get_peak_usage();
        }
        self::assertLessThan(600_000, abs($peaks[1] - $peaks[0]));
    }
}
