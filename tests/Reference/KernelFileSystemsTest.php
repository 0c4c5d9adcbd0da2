<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\Files\FolderFiles;
use Tally\Device\FolderDevice;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\Probe\SmallFiles;
use Tally\Probe\SpeedPlan;
use Tally\Probe\SpeedRun;
use Tally\Probe\SustainedRun;
use Tally\Quantity\Bytes;
use Tally\Transfer\TimedCopy;
use Tests\Support\LoopMount;
use Tests\Support\Meddle;

/** On real file systems, not only in temporary folders: ext4 of the kernel, exFAT as Debian mounts it. */
final class KernelFileSystemsTest extends TestCase
{
    use LoopMount;

    private const MEGABYTE = 1_000_000;

    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        yield 'ext4' => ['ext4'];
        yield 'exFAT' => ['exfat'];
    }

    private static function region(int $megabytes): Bytes
    {
        return Bytes::of($megabytes * self::MEGABYTE);
    }

    #[DataProvider('kinds')]
    public function test_a_speed_run_measures_and_leaves_nothing_behind(string $kind): void
    {
        $point = $this->mounted($kind, 64);
        file_put_contents("{$point}/mine.txt", 'kept');
        $before = self::everything($point);
        $device = FolderDevice::open(HeldFolder::at($point), self::region(12));
        $result = (new SpeedRun(SpeedPlan::plain(self::region(12), 3)))->on($device, new HostClock());
        $device->close();
        self::assertCount(3, $result->writeRates());
        self::assertCount(3, $result->readRates());
        self::assertTrue($result->forgot);
        self::assertSame(0, $result->wrong);
        self::assertNull($result->cutShort);
        self::assertSame($before, self::everything($point));
        self::assertSame('kept', file_get_contents("{$point}/mine.txt"));
    }

    #[DataProvider('kinds')]
    public function test_a_sustained_run_fills_it_to_the_reserve(string $kind): void
    {
        $point = $this->mounted($kind, 48);
        $free = (int) disk_free_space($point);
        $device = FolderDevice::open(HeldFolder::at($point));
        $result = (new SustainedRun())->on($device, new HostClock());
        $device->close();
        self::assertNull($result->cutShort);
        self::assertGreaterThan(0.95 * $free, $result->write->bytes->count);
        self::assertEqualsWithDelta($free, disk_free_space($point), self::MEGABYTE);
    }

    #[DataProvider('kinds')]
    public function test_small_files_cost_something_there(string $kind): void
    {
        $point = $this->mounted($kind, 64);
        $files = FolderFiles::open(HeldFolder::at($point));
        $result = (new SmallFiles(40, 2))->on($files, new HostClock());
        $files->clear();
        self::assertCount(2, $result->rounds);
        self::assertSame(0, $result->wrong);
        self::assertTrue($result->forgot);
        self::assertSame([], array_diff(self::everything($point), ['lost+found']));
    }

    #[DataProvider('kinds')]
    public function test_a_copy_from_one_to_the_other_reads_back_alike(string $kind): void
    {
        [$card, $drive] = [$this->mounted($kind, 48), $this->mounted($kind === 'ext4' ? 'exfat' : 'ext4', 64)];
        mkdir("{$card}/DCIM");
        foreach (range(1, 20) as $i) {
            file_put_contents("{$card}/DCIM/clip {$i}.mov", random_bytes($i <= 16 ? 40_000 : 2_000_000));
        }
        self::shell('sync');
        $result = TimedCopy::of("{$card}/DCIM", $drive, true)->run(new HostClock());
        self::assertSame(20, $result->files);
        self::assertSame(16 * 40_000 + 4 * 2_000_000, $result->bytes->count);
        self::assertSame([], $result->different);
        self::assertTrue($result->forgot);
        foreach (range(1, 20) as $i) {
            self::assertFileEquals("{$card}/DCIM/clip {$i}.mov", "{$drive}/DCIM/clip {$i}.mov");
        }
    }

    public function test_a_card_unmounted_in_mid_run_keeps_what_was_measured(): void
    {
        $point = $this->mounted('ext4', 64);
        $device = FolderDevice::open(HeldFolder::at($point), self::region(10));
        $pull = new Meddle(25 * self::MEGABYTE, fn (): ?string => self::shell("umount -l {$point}"));
        $result = (new SpeedRun(SpeedPlan::plain(self::region(10), 5)))->on($device, new HostClock(), $pull);
        $device->close();
        self::assertStringContainsString('is gone: the card was pulled out or unmounted', (string) $result->cutShort);
        self::assertCount(1, $result->reads);
        self::assertSame([], self::everything($point));
    }

    public function test_write_permission_revoked_in_mid_run_ends_it_with_a_sentence(): void
    {
        $point = $this->mounted('ext4', 64);
        $device = FolderDevice::open(HeldFolder::at($point), self::region(10));
        // The file system gives up writing at once, open files or not, as it does when a lock slider is worked in the slot.
        $revoke = new Meddle(
            25 * self::MEGABYTE,
            fn (): ?string => self::shell("mount -o remount,abort {$point}; mount -o remount,ro {$point}"),
        );
        $result = (new SpeedRun(SpeedPlan::plain(self::region(10), 5)))->on($device, new HostClock(), $revoke);
        $device->close();
        self::assertStringContainsString('has become read-only while it was used', (string) $result->cutShort);
        self::assertCount(1, $result->reads);
        self::assertLessThan(5, count($result->writes));
    }

    public function test_a_disk_that_something_else_fills_ends_it_with_a_sentence(): void
    {
        $point = $this->mounted('ext4', 64);
        $device = FolderDevice::open(HeldFolder::at($point), self::region(40));
        $fill = new Meddle(
            4 * self::MEGABYTE,
            fn (): ?string => self::shell("fallocate -l $(df --output=avail -B1 {$point} | tail -1) {$point}/greedy"),
        );
        $result = (new SpeedRun(SpeedPlan::plain(self::region(40), 2)))->on($device, new HostClock(), $fill);
        $device->close();
        if ($result->cutShort === null) {
            // Room was found for the whole region before the other came: then nothing is lost.
            self::assertCount(2, $result->writes);
        } else {
            self::assertStringContainsString('was full after', $result->cutShort);
            self::assertSame([], $result->writes);
        }
        self::assertSame(['greedy', 'lost+found'], self::everything($point));
    }

    public function test_a_drive_that_fills_up_keeps_whole_files_of_a_copy(): void
    {
        [$card, $drive] = [$this->mounted('ext4', 64), $this->mounted('ext4', 64)];
        mkdir("{$card}/DCIM");
        foreach (range(1, 8) as $i) {
            file_put_contents("{$card}/DCIM/clip{$i}.mov", random_bytes(4 * self::MEGABYTE));
        }
        $fill = new Meddle(
            9 * self::MEGABYTE,
            fn (): ?string => self::shell("fallocate -l $(( $(df --output=avail -B1 {$drive} | tail -1) - 2000000 )) {$drive}/greedy"),
        );
        $result = TimedCopy::of("{$card}/DCIM", $drive, true)->run(new HostClock(), $fill);
        self::assertStringContainsString('was full after', (string) $result->cutShort);
        self::assertGreaterThan(0, $result->files);
        self::assertLessThan(8, $result->files);
        self::assertCount($result->files, array_diff(self::everything("{$drive}/DCIM"), []));
        foreach (self::everything("{$drive}/DCIM") as $name) {
            self::assertFileEquals("{$card}/DCIM/{$name}", "{$drive}/DCIM/{$name}");
        }
    }
}
