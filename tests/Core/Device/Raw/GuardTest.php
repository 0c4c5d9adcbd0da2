<?php

declare(strict_types=1);

namespace Tests\Core\Device\Raw;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Raw\Guard;
use Tally\Device\Raw\Kernel;
use Tally\Device\Raw\RawDevice;
use Tally\Device\Raw\Target;
use Tally\Quantity\Bytes;
use Tests\Support\TemporaryFolder;

/** Each rule about what may be erased, and an attempt to get past it. */
final class GuardTest extends TestCase
{
    use TemporaryFolder;

    private function image(int $bytes = 2_097_152, string $name = 'card.img'): string
    {
        $path = $this->folder()."/{$name}";
        file_put_contents($path, str_repeat('x', $bytes));

        return $path;
    }

    private static function refused(string $path, Guard $guard): string
    {
        try {
            RawDevice::open($path, $guard)->close();
        } catch (UnusablePath $fault) {
            return $fault->getMessage();
        }
        self::fail("{$path} was let in");
    }

    /** A made-up host: /proc and /sys with a system disk, a mounted card, an idle one, and a volume on a third. */
    private function host(): string
    {
        $root = $this->folder();
        self::disk($root, 'dm-0', '254:0');
        self::disk($root, 'sda', '8:0', ['sda1' => '8:1', 'sda2' => '8:2']);
        self::disk($root, 'sdb', '8:16', ['sdb1' => '8:17']);
        self::disk($root, 'sdc', '8:32', ['sdc1' => '8:33']);
        self::disk($root, 'sdd', '8:48', ['sdd1' => '8:49'], holders: ['dm-0']);
        mkdir("{$root}/proc/self", recursive: true);
        file_put_contents(
            "{$root}/proc/self/mountinfo",
            implode("\n", [
                '22 1 8:2 / / rw,relatime shared:1 - ext4 /dev/sda2 rw',
                '30 22 8:17 / /media/wren/CARD\040ONE rw - exfat /dev/sdb1 rw',
                '31 22 254:0 / /mnt/volume rw - ext4 /dev/mapper/volume rw',
            ]),
        );
        file_put_contents("{$root}/proc/swaps", "Filename Type Size Used Priority\n");

        return $root;
    }

    /**
     * @param  array<string, string>  $parts  name → device numbers
     * @param  list<string>  $holders  volumes on its first part
     */
    private static function disk(string $root, string $name, string $numbers, array $parts = [], array $holders = []): void
    {
        $folder = "{$root}/sys/devices/{$name}";
        mkdir("{$folder}/holders", recursive: true);
        file_put_contents("{$folder}/dev", "{$numbers}\n");
        @mkdir("{$root}/sys/dev/block", recursive: true);
        symlink($folder, "{$root}/sys/dev/block/{$numbers}");
        foreach ($parts as $part => $number) {
            mkdir("{$folder}/{$part}/holders", recursive: true);
            file_put_contents("{$folder}/{$part}/dev", "{$number}\n");
            file_put_contents("{$folder}/{$part}/partition", "1\n");
            symlink("{$folder}/{$part}", "{$root}/sys/dev/block/{$number}");
        }
        foreach ($holders as $holder) {
            symlink("{$root}/sys/devices/{$holder}", "{$folder}/".(array_key_first($parts) ?? '').'/holders/'.$holder);
        }
    }

    public function test_the_kernel_tells_what_belongs_together_and_what_is_in_use(): void
    {
        $kernel = new Kernel($this->host());
        self::assertSame('/', $kernel->use('8:0'), 'the whole disk, by one of its parts');
        self::assertSame('/', $kernel->use('8:1'), 'an idle part, by its neighbour');
        self::assertSame('/media/wren/CARD ONE', $kernel->use('8:16'));
        self::assertNull($kernel->use('8:32'));
        self::assertSame('/mnt/volume', $kernel->use('8:48'), 'by a volume that lies on it');
        self::assertTrue($kernel->isSystem('/'));
        self::assertFalse($kernel->isSystem('/media/wren/CARD ONE'));
        self::assertSame([true, false], [$kernel->isPartition('8:17'), $kernel->isPartition('8:16')]);
    }

    /** @return iterable<string, array{int, int, string}> major, minor, words */
    public static function devices(): iterable
    {
        yield 'the system’s disk' => [8, 0, 'this host runs from it (/)'];
        yield 'another part of it' => [8, 1, 'this host runs from it (/)'];
        yield 'a mounted card' => [8, 16, 'is mounted at /media/wren/CARD ONE'];
        yield 'a part of a card' => [8, 33, 'is a part of a medium'];
        yield 'one with a volume' => [8, 48, 'is mounted at /mnt/volume'];
    }

    #[DataProvider('devices')]
    public function test_devices_in_use_are_refused(int $major, int $minor, string $words): void
    {
        $target = Target::of('/dev/made-up', ['dev' => 5, 'ino' => 9, 'mode' => 0060660, 'rdev' => ($major << 8) | $minor, 'nlink' => 1]);
        $guard = new Guard(['/dev/made-up'], kernel: new Kernel($this->host()));
        try {
            $guard->admit('/dev/made-up', $target, Bytes::gigabytes(32));
            self::fail('it was let in');
        } catch (UnusablePath $fault) {
            self::assertStringContainsString($words, $fault->getMessage());
        }
    }

    public function test_an_idle_card_on_the_list_is_admitted_if_its_size_is_that_of_the_label(): void
    {
        $target = Target::of('/dev/made-up', ['dev' => 5, 'ino' => 9, 'mode' => 0060660, 'rdev' => (8 << 8) | 32, 'nlink' => 1]);
        $kernel = new Kernel($this->host());
        (new Guard([], Bytes::gigabytes(32), kernel: $kernel))->admit('x', $target, Bytes::of(31_914_983_424));
        foreach (
            [
                [Bytes::gigabytes(1000), 'more than the 32 GB'],
                [Bytes::gigabytes(8), 'less than the 32 GB'],
                [Bytes::of(0), 'no card in the reader'],
            ] as [$size, $words]
        ) {
            try {
                (new Guard([], Bytes::gigabytes(32), kernel: $kernel))->admit('x', $target, $size);
                self::fail('it was let in');
            } catch (UnusablePath $fault) {
                self::assertStringContainsString($words, $fault->getMessage());
            }
        }
        (new Guard([], Bytes::gigabytes(32), 'it is the short one of the lot', kernel: $kernel))->admit('x', $target, Bytes::gigabytes(8));
        $this->addToAssertionCount(1);
    }

    public function test_the_numbers_of_a_device_are_read_as_the_kernel_writes_them(): void
    {
        // Against the machine's own: every block device it has.
        $devices = glob('/sys/class/block/*/dev');
        foreach ($devices === false ? [] : $devices as $file) {
            $node = '/dev/'.str_replace('!', '/', basename(dirname($file)));
            $target = Target::at($node);
            if ($target?->isBlock === true) {
                self::assertSame(trim((string) file_get_contents($file)), $target->numbers(), $node);
            }
        }
        self::assertSame(
            '259:70000',
            Target::of('x', ['rdev' => (259 << 8) | (70000 & 0xFF) | ((70000 & ~0xFF) << 12), 'mode' => 0060000])->numbers(),
        );
    }

    public function test_a_device_that_is_not_on_the_list_is_refused_by_whatever_name(): void
    {
        $devices = array_filter(
            ['/dev/vda', '/dev/sda', '/dev/nvme0n1', '/dev/loop0', '/dev/ram0', '/dev/xvda'],
            fn (string $path): bool => @filetype($path) === 'block',
        );
        if ($devices === []) {
            self::markTestSkipped('This machine has no block device.');
        }
        $device = reset($devices);
        $folder = $this->folder();
        symlink($device, "{$folder}/card.img");
        foreach (
            [
                $device,
                "{$folder}/card.img",
                "{$folder}/../".basename($folder).'/card.img',
                '/dev/../dev/'.basename($device),
                "/dev/./{$device}/../".basename($device),
            ] as $path
        ) {
            $said = self::refused($path, new Guard(["{$folder}/x*", '/dev/disk/by-id/usb-*'], images: [$folder]));
            self::assertMatchesRegularExpression('/not on this station’s list|There is no device/', $said);
        }
        // A pattern is not stretched over folders by `..`.
        self::assertStringContainsString(
            'not on this station’s list',
            self::refused('/dev/shm/../'.basename($device), new Guard(['/dev/shm/*'])),
        );
    }

    public function test_what_is_no_medium_is_refused(): void
    {
        $folder = $this->folder();
        posix_mkfifo("{$folder}/pipe", 0600);
        self::assertStringContainsString('There is no device or image', self::refused("{$folder}/none", new Guard([])));
        self::assertStringContainsString('There is no device or image', self::refused("{$folder}\0/etc/passwd", new Guard([])));
        self::assertStringContainsString('it is a folder', self::refused($folder, new Guard([])));
        self::assertStringContainsString('neither a block device nor an image', self::refused("{$folder}/pipe", new Guard([])));
        self::assertStringContainsString('neither a block device nor an image', self::refused('/dev/null', new Guard(['/dev/null'])));
        self::assertStringContainsString('no medium is smaller', self::refused($this->image(4096), new Guard([])));
    }

    public function test_the_hosts_own_files_are_no_images(): void
    {
        $folder = $this->folder();
        symlink('/etc/passwd', "{$folder}/card.img");
        foreach (['/etc/passwd', '/etc/../etc/passwd', "{$folder}/card.img", '/usr/bin/env', '/proc/self/mem'] as $path) {
            self::assertMatchesRegularExpression('/host keeps its own files|neither a block device/', self::refused($path, new Guard([])));
        }
    }

    public function test_images_of_the_pages_lie_below_the_stations_folders(): void
    {
        $allowed = $this->folder();
        $outside = $this->image();
        symlink($outside, "{$allowed}/card.img");
        foreach ([$outside, "{$allowed}/card.img", "{$allowed}/../".basename(dirname($outside)).'/card.img'] as $path) {
            self::assertStringContainsString('images lie below', self::refused($path, new Guard([], images: [$allowed])));
        }
        self::assertSame(str_repeat('x', 64), file_get_contents($outside, false, null, 0, 64));
    }

    public function test_an_image_with_another_name_or_in_use_is_refused(): void
    {
        $image = $this->image();
        link($image, dirname($image).'/other-name.img');
        self::assertStringContainsString('2 names', self::refused($image, new Guard([])));
        $open = $this->image();
        $process = proc_open(['sleep', '30'], [['file', $open, 'r']], $pipes);
        self::assertNotFalse($process);
        usleep(200_000);
        self::assertStringContainsString('sleep has it open', self::refused($open, new Guard([])));
        proc_terminate($process, SIGKILL);
        proc_close($process);
    }

    public function test_an_image_that_is_attached_is_refused(): void
    {
        $image = $this->image(4_194_304);
        exec('losetup -f --show '.escapeshellarg($image).' 2>/dev/null', $lines, $code);
        if ($code !== 0) {
            self::markTestSkipped('This machine gives no loop device.');
        }
        try {
            self::assertStringContainsString("attached as {$lines[0]}", self::refused($image, new Guard([])));
            // And the loop device itself is no removable medium, unless the station says so.
            self::assertStringContainsString('not on this station’s list', self::refused($lines[0], new Guard([])));
            self::assertSame(4_194_304, RawDevice::open($lines[0], new Guard([$lines[0]]))->size()->count);
        } finally {
            exec('losetup -d '.escapeshellarg($lines[0]));
        }
    }

    public function test_a_device_that_is_mounted_for_real_is_refused(): void
    {
        $image = $this->image(16_777_216);
        $point = $this->folder();
        exec('mkfs.ext4 -q '.escapeshellarg($image).' && losetup -f --show '.escapeshellarg($image).' 2>/dev/null', $lines, $code);
        if ($code !== 0) {
            self::markTestSkipped('This machine gives no loop device.');
        }
        exec('mount '.escapeshellarg($lines[0]).' '.escapeshellarg($point));
        try {
            self::assertMatchesRegularExpression('/in use by the host|is mounted at/', self::refused($lines[0], new Guard([$lines[0]])));
        } finally {
            exec('umount '.escapeshellarg($point).'; losetup -d '.escapeshellarg($lines[0]));
        }
    }

    public function test_a_medium_that_is_swapped_between_check_and_use_is_not_written_to(): void
    {
        $right = $this->image(2_097_152, 'right.img');
        $wrong = $this->image(2_097_152, 'wrong.img');
        $name = dirname($right).'/card';
        symlink($right, $name);
        $device = RawDevice::open($name, new Guard([]));
        unlink($name);
        symlink($wrong, $name);
        try {
            $device->write(0, (new \Tally\Pattern\TestPattern(3, Bytes::of(2_097_152)))->stretch(0, 1_048_576));
            self::fail('It was written to.');
        } catch (MediumGone $gone) {
            self::assertStringContainsString('leads to another medium', $gone->getMessage());
        } finally {
            $device->close();
        }
        self::assertSame(str_repeat('x', 64), file_get_contents($wrong, false, null, 0, 64));
        self::assertSame(str_repeat('x', 64), file_get_contents($right, false, null, 0, 64));
    }
}
