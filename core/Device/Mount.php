<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Quantity\Bytes;

/** The file system that a folder lies on. Source: proc(5), /proc/self/mountinfo. */
final readonly class Mount
{
    /** @param  string  $source  the device behind it, or a name */
    private function __construct(public string $point, public string $type, public bool $readOnly, public string $source = '') {}

    public static function of(string $folder): self
    {
        $best = new self('/', 'unknown', false);
        $lines = @file('/proc/self/mountinfo', FILE_IGNORE_NEW_LINES);
        foreach ($lines === false ? [] : $lines as $line) {
            [$before, $after] = [...explode(' - ', $line, 2), ''];
            $fields = explode(' ', $before);
            $point = stripcslashes($fields[4] ?? '');
            $within = $point === '/' || $folder === $point || str_starts_with($folder, $point.'/');
            // Later lines lie on top of earlier ones at the same point.
            if ($within && strlen($point) >= strlen($best->point)) {
                $best = new self($point, explode(' ', $after)[0], in_array('ro', explode(',', $fields[5] ?? ''), true), stripcslashes(explode(' ', $after)[1] ?? ''));
            }
        }

        return $best;
    }

    /** A file system in memory: there is no medium behind the host's cache, so nothing can be forgotten. */
    public function isInMemory(): bool
    {
        return in_array($this->type, ['tmpfs', 'ramfs', 'devtmpfs'], true);
    }

    /** A file system that is a program, or one on a loop device: between its files and the medium lies another cache, which they do not know of. */
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
