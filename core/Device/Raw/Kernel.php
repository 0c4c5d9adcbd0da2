<?php

declare(strict_types=1);

namespace Tally\Device\Raw;

use Tally\Device\Host\RealPath;
use Tally\Device\Mount;

/**
 * What the host knows of its block devices: which parts and volumes belong together, and what is in use.
 *
 * Source: proc(5) mountinfo and swaps, sysfs(5), the kernel's Documentation/ABI/stable/sysfs-block.
 */
final readonly class Kernel
{
    /** Where a host keeps what it cannot do without. */
    private const SYSTEM = ['/', '/boot', '/boot/efi', '/usr', '/var', '/home', '/etc', '/opt', '/root', '[SWAP]'];

    /** @param  string  $root  put before /proc and /sys, for a host that is made up */
    public function __construct(private string $root = '') {}

    public function isPartition(string $numbers): bool
    {
        return is_file("{$this->root}/sys/dev/block/{$numbers}/partition");
    }

    /** Whether there is such a device with a medium in it. */
    public function isPresent(string $numbers): bool
    {
        return $this->size($numbers) > 0;
    }

    /** @return int bytes; sysfs counts in sectors of 512, whatever the medium's are */
    public function size(string $numbers): int
    {
        return 512 * (int) @file_get_contents("{$this->root}/sys/dev/block/{$numbers}/size");
    }

    /** @return string the kernel's name of the whole device: `sdb`; empty where it has none */
    public function disk(string $numbers): string
    {
        $here = RealPath::of("{$this->root}/sys/dev/block/{$numbers}");

        return $here === null ? '' : basename(is_file("{$here}/partition") ? dirname($here) : $here);
    }

    /**
     * The whole devices that a device is or lies on: those below a volume, and the one that an image lies on. An image on the host's
     * own disk stands for a drive by itself, so that all of this can be tried out.
     *
     * Source: Documentation/ABI/stable/sysfs-block; slaves of md and dm; /sys/fs/btrfs.
     *
     * @return list<string> `sdb`; none where the kernel knows no such device
     */
    public function disks(string $numbers): array
    {
        $disks = array_map(fn (string $one): array => $this->below($one, 0), $this->fellows($numbers));

        return array_values(array_unique(array_merge(...$disks)));
    }

    /** @return list<string> */
    private function below(string $numbers, int $depth): array
    {
        $here = RealPath::of("{$this->root}/sys/dev/block/{$numbers}");
        // Volumes upon volumes end somewhere; a ring of them would be a fault of the host.
        if ($here === null || $depth > 8) {
            return [];
        }
        $disk = is_file("{$here}/partition") ? dirname($here) : $here;
        $image = trim((string) @file_get_contents("{$disk}/loop/backing_file"));
        $mount = $image === '' ? null : Mount::of(RealPath::of($image) ?? $image);
        $below = $mount === null || $mount->isHostsOwn() ? [] : $this->below($mount->numbers, $depth + 1);
        foreach (self::matches("{$disk}/slaves/*", fn (): bool => true) as $slave) {
            $below = [...$below, ...$this->below(trim((string) @file_get_contents("{$slave}/dev")), $depth + 1)];
        }
        $name = $mount === null ? basename($disk) : self::image($image);

        return $below !== [] ? $below : [preg_match('/^z?ram\d/', $name) === 1 ? 'memory' : $name];
    }

    /** However often it is attached. */
    private static function image(string $path): string
    {
        $file = Target::at($path);

        return 'image '.basename($path).($file === null ? '' : " ({$file->device}-{$file->inode})");
    }

    /** @return list<string> numbers of all devices that the file system on this one lies on */
    private function fellows(string $numbers): array
    {
        $name = basename(RealPath::of("{$this->root}/sys/dev/block/{$numbers}") ?? '');
        $has = fn (string $all): bool => $name !== '' && is_dir("{$all}/{$name}");
        foreach (self::matches("{$this->root}/sys/fs/btrfs/*/devices", $has) as $all) {
            return array_map(
                fn (string $one): string => trim((string) @file_get_contents("{$one}/dev")),
                self::matches("{$all}/*", fn (): bool => true),
            );
        }

        return [$numbers];
    }

    /** @return string|null by which a file system knows itself: its UUID, or serial number; null where it is not told */
    public function volume(string $source): ?string
    {
        $target = Target::at($source);
        if ($target?->isBlock !== true) {
            return null;
        }
        $leads = fn (string $link): bool => $target->isSameAs(Target::at($link));
        foreach (self::matches("{$this->root}/dev/disk/by-uuid/*", $leads) as $link) {
            return basename($link);
        }
        // Where no device manager runs; takes a user who may read the device. Source: blkid(8).
        exec('PATH=/usr/sbin:/sbin:/usr/bin:/bin blkid -p -s UUID -o value '.escapeshellarg($source).' 2>/dev/null', $said, $code);

        return $code === 0 && ($said[0] ?? '') !== '' ? $said[0] : null;
    }

    /**
     * Counts up with every medium that is put in: two cards of one model in one slot differ in it.
     *
     * Source: Documentation/ABI/stable/sysfs-block, diskseq.
     */
    public function sequence(string $numbers): ?int
    {
        $sequence = $this->told($this->disk($numbers), 'diskseq');

        return $sequence === null ? null : (int) $sequence;
    }

    /**
     * What the medium itself says it is called. Cards in a slot of the host (mmc) and CFexpress (nvme) have a serial number of
     * their own; behind a USB reader the number is the reader's, and tells nothing of the card.
     *
     * Source: Documentation/driver-api/mmc/mmc-dev-attrs, Documentation/ABI/testing/sysfs-nvme.
     */
    public function serialOfMedium(string $numbers): ?string
    {
        $disk = $this->disk($numbers);

        return preg_match('/^(?:mmcblk|nvme)/', $disk) === 1
            ? $this->told($disk, 'device/cid') ?? $this->told($disk, 'device/serial')
            : null;
    }

    /** @return string|null the name by which the host's device manager knows it: maker, model and number of the device or its reader */
    public function byId(string $numbers): ?string
    {
        foreach (
            self::matches(
                "{$this->root}/dev/disk/by-id/*",
                fn (string $link): bool => ! str_contains(basename($link), '-part') && ! str_starts_with(basename($link), 'wwn-'),
            ) as $link
        ) {
            if (Target::at($link)?->numbers() === $numbers) {
                return basename($link);
            }
        }

        return null;
    }

    private function told(string $disk, string $of): ?string
    {
        $told = $disk === '' ? '' : trim((string) @file_get_contents("{$this->root}/sys/block/{$disk}/{$of}"));

        return $told === '' ? null : $told;
    }

    /** @return string|null where it, a part of it or a volume on it is mounted or swapped to; the gravest first */
    public function use(string $numbers): ?string
    {
        $places = [];
        $family = $this->family($numbers);
        foreach ($this->mounts() as [$device, $point]) {
            if (in_array($device, $family, true)) {
                $places[] = $point;
            }
        }
        usort($places, fn (string $a, string $b): int => (int) $this->isSystem($b) <=> (int) $this->isSystem($a));

        return $places[0] ?? null;
    }

    /** @param  string  $place  as use() names it */
    public function isSystem(string $place): bool
    {
        return in_array($place, self::SYSTEM, true) || str_starts_with(__DIR__.'/', rtrim($place, '/').'/');
    }

    /** @return list<string> device numbers of the whole disk, its partitions, and the volumes that lie on any of them */
    public function family(string $numbers): array
    {
        $here = RealPath::of("{$this->root}/sys/dev/block/{$numbers}");
        if ($here === null) {
            return [$numbers];
        }
        $disk = is_file("{$here}/partition") ? dirname($here) : $here;
        $family = [$numbers];
        foreach ([$disk, ...self::matches("{$disk}/*", fn (string $part): bool => is_file("{$part}/partition"))] as $member) {
            $family = [...$family, ...$this->withHolders($member, 0)];
        }

        return array_values(array_unique($family));
    }

    /** @return string|null the loop device that an image is attached to */
    public function loopOf(string $image): ?string
    {
        foreach (self::matches("{$this->root}/sys/block/loop*", fn (string $loop): bool => is_file("{$loop}/loop/backing_file")) as $loop) {
            $backing = trim((string) @file_get_contents("{$loop}/loop/backing_file"));
            $there = Target::at($backing);
            if ($backing === $image || ($there !== null && $there->isSameAs(Target::at($image)))) {
                return '/dev/'.basename($loop);
            }
        }

        return null;
    }

    /** @return string|null the name of another program that has the file open */
    public function openedBy(Target $target): ?string
    {
        foreach (
            self::matches("{$this->root}/proc/[0-9]*", fn (string $process): bool => basename($process) !== (string) getmypid()) as $process
        ) {
            foreach (self::matches("{$process}/fd/*", fn (): bool => true) as $open) {
                $stat = @stat($open);
                if ($stat !== false && $target->isSameAs(Target::of($open, $stat))) {
                    return trim((string) @file_get_contents("{$process}/comm"));
                }
            }
        }

        return null;
    }

    /** @return list<array{string, string}> device numbers, mount point; `[SWAP]` for swap */
    private function mounts(): array
    {
        $found = [];
        foreach (self::lines("{$this->root}/proc/self/mountinfo") as $line) {
            [$before, $after] = [...explode(' - ', $line, 2), ''];
            $fields = explode(' ', $before);
            $point = stripcslashes($fields[4] ?? '');
            $found[] = [$fields[2] ?? '', $point];
            // Some file systems have a number of their own; their source tells the device.
            $source = Target::at($this->root.stripcslashes(explode(' ', $after)[1] ?? ''));
            if ($source?->isBlock === true) {
                $found[] = [$source->numbers(), $point];
            }
        }
        foreach (array_slice(self::lines("{$this->root}/proc/swaps"), 1) as $line) {
            $swap = Target::at((string) strtok($line, " \t"));
            if ($swap?->isBlock === true) {
                $found[] = [$swap->numbers(), '[SWAP]'];
            }
        }

        return $found;
    }

    /** @return list<string> */
    private function withHolders(string $folder, int $depth): array
    {
        $family = [trim((string) @file_get_contents("{$folder}/dev"))];
        // Volumes upon volumes end somewhere; a ring of them would be a fault of the host.
        foreach ($depth > 8 ? [] : self::matches("{$folder}/holders/*", fn (): bool => true) as $holder) {
            $family = [...$family, ...$this->withHolders(RealPath::of($holder) ?? '', $depth + 1)];
        }

        return $family;
    }

    /** @return list<string> */
    private static function lines(string $file): array
    {
        $lines = @file($file, FILE_IGNORE_NEW_LINES);

        return $lines === false ? [] : $lines;
    }

    /**
     * @param  callable(string): bool  $is
     * @return list<string>
     */
    private static function matches(string $glob, callable $is): array
    {
        $found = glob($glob);

        return array_values(array_filter($found === false ? [] : $found, $is));
    }
}
