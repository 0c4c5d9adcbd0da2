<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tally\Device\Place;
use Tally\Device\PlaceKind;
use Tally\Device\Raw\Kernel;
use Tally\Value\Values;
use Tests\Support\LoopMount;

/** Places on real file systems: however they are spelt and mounted, copies count by the device behind them. */
final class PlacesTest extends TestCase
{
    use LoopMount;

    private static function apart(string ...$paths): int
    {
        return Place::apart(array_map(fn (string $path): Place => Place::of($path), array_values($paths)));
    }

    public function test_two_folders_of_one_file_system_are_one_however_they_are_reached(): void
    {
        [$one, $other] = [$this->mounted('ext4', 32), $this->mounted('ext4', 32)];
        mkdir("{$one}/a/b", recursive: true);
        symlink("{$one}/a", $link = "{$this->folder()}/link");
        $bound = $this->folder();
        self::assertNotNull(self::shell("mount --bind {$one}/a {$bound}"));
        try {
            self::assertSame(1, self::apart($one, "{$one}/a", "{$one}/a/b", "{$one}/./a/", $link, $bound));
            self::assertSame(2, self::apart("{$one}/a", $other));
            self::assertTrue(Place::of($link)->isOnDeviceOf(Place::of($bound)));
            self::assertFalse(Place::of($one)->isOnDeviceOf(Place::of($other)));
        } finally {
            self::shell("umount {$bound}");
        }
    }

    public function test_an_image_on_a_drive_is_that_drive_and_one_image_attached_twice_is_one(): void
    {
        $drive = $this->mounted('ext4', 96);
        $inner = "{$drive}/inner.img";
        self::assertNotNull(self::shell("truncate -s 24M {$inner} && mkfs.ext4 -q {$inner}"));
        [$first, $second] = [$this->folder(), $this->folder()];
        self::assertNotNull(self::shell("mount -o loop,ro {$inner} {$first}"));
        $twice = self::shell("losetup -r -f --show {$inner}");
        self::assertNotNull(self::shell("mount -o ro {$twice} {$second}"));
        try {
            self::assertSame(1, self::apart($drive, $first, $second));
        } finally {
            self::shell("umount {$first}; umount {$second}; losetup -d {$twice}");
        }
    }

    public function test_card_drive_host_memory_and_what_nobody_can_tell_are_told_apart(): void
    {
        $drive = $this->mounted('exfat', 32);
        self::assertSame(PlaceKind::Medium, Place::of($drive)->kind);
        self::assertSame(PlaceKind::Host, Place::of($this->folder())->kind);
        self::assertSame(PlaceKind::Host, Place::of('/')->kind);
        self::assertSame(2, self::apart($drive, $this->folder()));
        // Gone with the next power cut: no copy at all.
        self::assertSame(PlaceKind::Memory, Place::of('/dev/shm')->kind);
        self::assertSame(1, self::apart($drive, '/dev/shm'));
        $unknown = Values::read(Place::class, ['kind' => PlaceKind::Unknown->value, 'path' => '/x', 'numbers' => '0:99', 'devices' => []]);
        self::assertSame(1, Place::apart([Place::of($drive), $unknown]));
        self::assertFalse($unknown->isOnDeviceOf(Place::of($drive)));
        self::assertEquals($unknown, Values::read(Place::class, (array) json_decode((string) json_encode($unknown), true)));
    }

    /**
     * A host that is made up, as sysfs shows it.
     *
     * @param  array<string, string>  $files  path below /sys → what it says
     * @param  array<string, string>  $links  path below /sys → where it leads, below /sys
     */
    private function kernel(array $files, array $links): Kernel
    {
        $root = $this->folder();
        foreach ($files as $path => $says) {
            @mkdir(dirname("{$root}/sys/{$path}"), recursive: true);
            file_put_contents("{$root}/sys/{$path}", $says);
        }
        foreach ($links as $path => $to) {
            @mkdir(dirname("{$root}/sys/{$path}"), recursive: true);
            symlink("{$root}/sys/{$to}", "{$root}/sys/{$path}");
        }

        return new Kernel($root);
    }

    /** Source: the kernel's Documentation/ABI/stable/sysfs-block; slaves of device mapper and md; sysfs of btrfs. */
    public function test_partitions_volumes_and_file_systems_over_several_disks_lead_to_the_disks(): void
    {
        $kernel = $this->kernel([
            'devices/sdb/dev' => '8:16',
            'devices/sdb/sdb1/partition' => '1',
            'devices/sdb/sdb1/dev' => '8:17',
            'devices/sdb/sdb2/partition' => '2',
            'devices/sdb/sdb2/dev' => '8:18',
            'devices/sdc/dev' => '8:32',
            'devices/sdd/dev' => '8:48',
            'devices/dm-0/dev' => '253:0',
            'devices/md0/dev' => '9:0',
            'devices/zram0/dev' => '251:0',
            'fs/btrfs/1234/devices/.keep' => '',
        ], [
            'dev/block/8:16' => 'devices/sdb',
            'dev/block/8:17' => 'devices/sdb/sdb1',
            'dev/block/8:18' => 'devices/sdb/sdb2',
            'dev/block/8:32' => 'devices/sdc',
            'dev/block/8:48' => 'devices/sdd',
            'dev/block/253:0' => 'devices/dm-0',
            'dev/block/9:0' => 'devices/md0',
            'dev/block/251:0' => 'devices/zram0',
            // An encrypted volume on a partition, a mirror over two disks, and a file system that lies on two itself.
            'devices/dm-0/slaves/sdb2' => 'devices/sdb/sdb2',
            'devices/md0/slaves/sdc' => 'devices/sdc',
            'devices/md0/slaves/dm-0' => 'devices/dm-0',
            'fs/btrfs/1234/devices/sdc' => 'devices/sdc',
            'fs/btrfs/1234/devices/sdd' => 'devices/sdd',
        ]);
        self::assertSame(['sdb'], $kernel->disks('8:17'));
        self::assertSame($kernel->disks('8:17'), $kernel->disks('8:18'));
        self::assertSame(['sdb'], $kernel->disks('253:0'));
        self::assertEqualsCanonicalizing(['sdb', 'sdc'], $kernel->disks('9:0'));
        self::assertEqualsCanonicalizing(['sdc', 'sdd'], $kernel->disks('8:48'));
        self::assertSame(['memory'], $kernel->disks('251:0'));
        self::assertSame([], $kernel->disks('99:9'));
    }

    /** @return array{int, array<mixed>, string} exit code, answer, and what was said besides */
    private function offload(string $card, string ...$to): array
    {
        $command = new Process([
            PHP_BINARY, dirname(__DIR__, 2).'/artisan', 'tally:offload', $card, '--json', '--card=QS-014',
            ...array_map(fn (string $one): string => "--to={$one}", array_values($to)),
        ], timeout: 60);
        $command->run();
        $said = json_decode($command->getOutput(), true);

        return [(int) $command->getExitCode(), is_array($said) ? $said : [], $command->getErrorOutput()];
    }

    public function test_the_terminal_says_before_that_two_places_are_one_and_never_calls_it_home(): void
    {
        [$one, $two, $card] = [$this->mounted('ext4', 32), $this->mounted('ext4', 32), $this->mounted('ext4', 32)];
        file_put_contents("{$card}/a.mov", random_bytes(400_000));
        mkdir("{$one}/a");
        mkdir("{$one}/b");
        mkdir("{$card}/sub");
        [$code, $said, $besides] = $this->offload($card, "{$one}/a", "{$one}/b");
        self::assertSame([1, false, 1], [$code, $said['home'], $said['devices']]);
        self::assertStringContainsString('lie on one device', (string) json_encode($said['doubts']));
        self::assertStringContainsString('Do not clear', $besides);
        foreach ([["{$one}/a", "{$one}/a/"], ["{$one}/./b", "{$one}/b"], [$two, $two]] as $twice) {
            [$code, , $besides] = $this->offload($card, ...$twice);
            self::assertSame(2, $code);
            self::assertStringContainsString('two copies in one place are one', $besides);
        }
        [$code, , $besides] = $this->offload($card, "{$card}/sub");
        self::assertSame(2, $code, $besides);
        [$code, $said] = $this->offload($card, "{$one}/b", $two);
        self::assertSame([0, true, 2, []], [$code, $said['home'], $said['devices'], $said['doubts']]);
        self::assertSame(PlaceKind::Medium->value, data_get($said, ['places', $two, 'kind']));
        // A copy that has its lists is the source of a third one, and is held against what the card gave.
        file_put_contents("{$two}/QS-014/a.mov", 'other');
        $third = $this->mounted('ext4', 32);
        [$code, $said] = $this->offload("{$two}/QS-014", $third);
        self::assertSame([1, false], [$code, $said['home']]);
        self::assertFileDoesNotExist("{$third}/QS-014/a.mov");
        mkdir("{$third}/again");
        [$code, $said] = $this->offload("{$one}/b/QS-014", "{$third}/again");
        self::assertSame([0, true], [$code, $said['home']]);
        self::assertFileEquals("{$card}/a.mov", "{$third}/again/QS-014/a.mov");
    }

    public function test_one_drive_that_takes_nothing_fails_its_own_copy_and_speaks_of_itself(): void
    {
        [$good, $full, $locked, $card] = [
            $this->mounted('ext4', 32), $this->mounted('ext4', 16), $this->mounted('ext4', 16), $this->mounted('ext4', 32),
        ];
        file_put_contents("{$card}/a.mov", random_bytes(900_000));
        self::shell("dd if=/dev/zero of={$full}/filler bs=4k");
        self::assertNotNull(self::shell("mount -o remount,ro {$locked}"));
        [$code, $said] = $this->offload($card, $good, $full, $locked, "{$good}/not-there");
        self::assertSame(1, $code);
        self::assertFalse($said['home']);
        $faults = (array) data_get($said, 'transfers.0.copies.*.fault');
        self::assertNull($faults[0]);
        foreach ([1 => $full, 2 => $locked, 3 => "{$good}/not-there"] as $at => $drive) {
            self::assertIsString($faults[$at]);
            self::assertStringContainsString("“{$drive}”", $faults[$at]);
            self::assertStringNotContainsString('lock slider', $faults[$at]);
        }
        self::assertFileEquals("{$card}/a.mov", "{$good}/QS-014/a.mov");
        // Where none is left it is refused, by what is wrong with the drive.
        [$code, , $besides] = $this->offload($card, $locked);
        self::assertSame(2, $code);
        self::assertStringContainsString('mounted read-only', $besides);
        self::shell("mount -o remount,rw {$locked}");
    }
}
