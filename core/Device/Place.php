<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Fault\CannotOpen;
use Tally\Device\Host\RealPath;
use Tally\Device\Raw\Kernel;
use Tally\Device\Raw\Target;

/**
 * Where a folder lies: on which file system, and on which devices behind it. However its path is spelt, two folders of one device are
 * one place to lose.
 */
final readonly class Place
{
    private const OF_MACHINES = ['nfs', 'nfs4', 'cifs', 'smb3', 'smbfs', 'afs', 'ceph', 'fuse.sshfs', 'fuse.rclone', '9p', 'virtiofs'];

    /**
     * @param  string  $path  the real one
     * @param  string  $numbers  of the file system, as the kernel names it: `8:17`
     * @param  list<string>  $devices  behind it, each by the kernel’s name of the whole one: `sdb`; none where that cannot be told
     * @param  string|null  $volume  by which its file system knows itself
     */
    private function __construct(
        public PlaceKind $kind,
        public string $path = '',
        public string $numbers = '',
        public array $devices = [],
        public ?string $volume = null,
    ) {}

    /** @throws CannotOpen where nothing is there */
    public static function of(string $given, Kernel $kernel = new Kernel()): self
    {
        $real = RealPath::of($given) ?? throw CannotOpen::missing($given);
        $mount = Mount::of($real);
        [$kind, $devices] = self::behind($mount, $kernel);

        return new self($kind, $real, $mount->numbers, $devices, volume: $kernel->volume($mount->source));
    }

    /** @return array{PlaceKind, list<string>} */
    private static function behind(Mount $mount, Kernel $kernel): array
    {
        $disks = $mount->isInMemory() ? [] : self::disks($mount, $kernel);
        if ($disks !== []) {
            return [array_intersect($disks, self::hosts($kernel)) === [] ? PlaceKind::Medium : PlaceKind::Host, $disks];
        }

        return match (true) {
            $mount->isInMemory() => [PlaceKind::Memory, ['memory']],
            $mount->isHostsOwn() => [PlaceKind::Host, ['host']],
            in_array($mount->type, self::OF_MACHINES, true) => [PlaceKind::Network, [self::machine($mount->source)]],
            default => [PlaceKind::Unknown, []],
        };
    }

    /** @return list<string> */
    private static function disks(Mount $mount, Kernel $kernel): array
    {
        $disks = $kernel->disks($mount->numbers);
        // Some file systems have a number of their own; their source tells the device.
        $source = $disks === [] ? Target::at($mount->source) : null;

        return $source?->isBlock === true ? $kernel->disks($source->numbers()) : $disks;
    }

    /** @return list<string> the disks that the host and this program run from */
    private static function hosts(Kernel $kernel): array
    {
        return [...self::disks(Mount::of('/'), $kernel), ...self::disks(Mount::of(__DIR__), $kernel)];
    }

    /** `server:/export`, `//server/share`, `somebody@server:` are all on one server. */
    private static function machine(string $source): string
    {
        $name = preg_match('#^(?://|[^@/:]+@)?(\[[^\]]+\]|[^/:]+)#', $source, $found) === 1 ? $found[1] : $source;

        return 'machine '.strtolower($name);
    }

    /** Whether both are known to lie on one device. */
    public function isOnDeviceOf(self $other): bool
    {
        return array_intersect($this->devices, $other->devices) !== [];
    }

    /** Whether losing one may be losing both: also where nobody can tell. */
    public function mayFallWith(self $other): bool
    {
        return $this->devices === [] || $other->devices === [] || $this->isOnDeviceOf($other);
    }

    /** Whether it is the same medium, also where it is mounted elsewhere by now: by its file system, where both were told. */
    public function isSameMediumAs(self $other): bool
    {
        return $this->volume !== null && $other->volume !== null
            ? $this->volume === $other->volume
            : $this->kind === $other->kind && $this->devices === $other->devices;
    }

    /**
     * How many copies these are: those that may fall with another one are one with it, and what lies in memory is none.
     *
     * @param  list<self>  $places
     */
    public static function apart(array $places): int
    {
        $groups = [];
        foreach ($places as $place) {
            if ($place->kind === PlaceKind::Memory) {
                continue;
            }
            $near = array_filter($groups, fn (array $group): bool => array_filter($group, $place->mayFallWith(...)) !== []);
            $groups = [...array_diff_key($groups, $near), array_merge([$place], ...array_values($near))];
        }

        return count($groups);
    }

    /** @return string `sdb`, for a sentence */
    public function called(): string
    {
        return match ($this->kind) {
            // The numbers of an image are for telling it from another of its name.
            PlaceKind::Medium, PlaceKind::Network => (string) preg_replace('/ \([\d-]+\)/', '', implode(' and ', $this->devices)),
            default => $this->kind->value,
        };
    }

    /** Of books that say no more than which drive it was, and of made-up drives. */
    public static function ofDrive(string $tag): self
    {
        return new self(PlaceKind::Medium, '', '', ["drive {$tag}"]);
    }
}
