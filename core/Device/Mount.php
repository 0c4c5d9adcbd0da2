<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Host\OpenFile;
use Tally\Quantity\Bytes;

/** A file system as it is mounted on this host. Source: proc(5), /proc/self/mountinfo and fdinfo. */
final readonly class Mount
{
    /**
     * @param  string  $numbers  of the device behind it, as the kernel names it: `8:17`
     * @param  string  $root  which folder of the file system is mounted: `/` for all of it
     * @param  string  $source  the device behind it, or a name
     */
    private function __construct(
        public int $id,
        public string $numbers,
        public string $root,
        public string $point,
        public string $type,
        public bool $readOnly,
        public string $source,
    ) {}

    /** The one that a folder lies on, by its path. */
    public static function of(string $folder): self
    {
        $best = null;
        foreach (self::all() as $mount) {
            $within = $mount->point === '/' || $folder === $mount->point || str_starts_with($folder, $mount->point.'/');
            // Later lines lie on top of earlier ones at the same point.
            if ($within && ($best === null || strlen($mount->point) >= strlen($best->point))) {
                $best = $mount;
            }
        }

        return $best ?? self::unknown();
    }

    /** The one that an open file or folder lies on, whatever its path leads to by now. */
    public static function ofOpen(OpenFile $open): self
    {
        $id =
            preg_match('/^mnt_id:\s*(\d+)$/m', (string) @file_get_contents("/proc/self/fdinfo/{$open->fd}"), $found) === 1
                ? (int) $found[1]
                : -1;
        foreach (self::all() as $mount) {
            if ($mount->id === $id) {
                return $mount;
            }
        }

        return self::unknown();
    }

    /** @return list<self> */
    public static function all(): array
    {
        $lines = @file('/proc/self/mountinfo', FILE_IGNORE_NEW_LINES);

        return array_map(self::read(...), $lines === false ? [] : $lines);
    }

    private static function read(string $line): self
    {
        [$before, $after] = [...explode(' - ', $line, 2), ''];
        $fields = [...explode(' ', $before), '', '', '', '', '', ''];
        [$type, $source, $super] = [...explode(' ', $after, 3), '', '', ''];
        // A mount may be read-only, or the whole file system below it.
        $readOnly = in_array('ro', explode(',', $fields[5]), true) || in_array('ro', explode(',', $super), true);

        return new self(
            (int) $fields[0],
            $fields[2],
            stripcslashes($fields[3]),
            stripcslashes($fields[4]),
            type: $type,
            readOnly: $readOnly,
            source: stripcslashes($source),
        );
    }

    private static function unknown(): self
    {
        return new self(-1, '', '/', '/', type: 'unknown', readOnly: false, source: '');
    }

    /** Whether a folder is the place where this file system begins: what lies in it lies on a medium of its own. */
    public function beginsAt(string $folder): bool
    {
        return $this->point === $folder && ! $this->isHostsOwn();
    }

    /** Whether it is the one the host itself, or this program, runs from; also where a folder of it is mounted a second time. */
    public function isHostsOwn(): bool
    {
        return in_array($this->numbers, [self::of('/')->numbers, self::of(__DIR__)->numbers], true);
    }

    /** A file system in memory: there is no medium behind the host's cache, so nothing can be forgotten. */
    public function isInMemory(): bool
    {
        return in_array($this->type, ['tmpfs', 'ramfs', 'devtmpfs'], true);
    }

    /**
     * A file system that is a program, or one on a loop device: between its files and the medium lies another cache, which they
     * do not know of.
     */
    public function hasCacheBelow(): bool
    {
        return str_starts_with($this->type, 'fuse') || str_starts_with($this->source, '/dev/loop');
    }

    public function total(): Bytes
    {
        $total = @disk_total_space($this->point);

        return Bytes::of($total === false ? 0 : (int) $total);
    }
}
