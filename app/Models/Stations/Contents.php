<?php

declare(strict_types=1);

namespace App\Models\Stations;

use Symfony\Component\Process\Process;
use Tally\Device\Identity;
use Tally\Quantity\Bytes;

/**
 * What is on a raw medium that somebody may be about to erase: its file systems, and the files in them.
 *
 * Only looked at: by way of a read-only loop device, mounted where nobody else sees it. Where this worker may not do that, or
 * the host does not know the file system, it says so by telling no number of files. Source: partx(8), blkid(8), losetup(8),
 * unshare(1); `noload` of mount for ext4, without which its journal is replayed.
 */
final readonly class Contents
{
    /** File systems that are mounted to look at; any other is only named. */
    private const LOOKED_INTO = [
        'vfat' => 'ro',
        'exfat' => 'ro',
        'ext2' => 'ro',
        'ext3' => 'ro,noload',
        'ext4' => 'ro,noload',
        'ntfs' => 'ro',
    ];

    /** Files are counted up to here. */
    private const MOST = 20_000;

    private const NAMED = 6;

    /** Seconds for each thing that is asked of the host. */
    private const PATIENCE = 10;

    /** @return list<Part> */
    public static function of(Identity $medium): array
    {
        $parts = self::partitions($medium->real);

        return $parts === []
            ? [self::part('the whole medium', $medium->real, 0, $medium->bytes->count)]
            : array_map(fn (array $part): Part => self::part("partition {$part[0]}", $medium->real, $part[1], $part[2]), $parts);
    }

    /** In a few words, for a page or a terminal. */
    public static function words(Part $part): string
    {
        $what = $part->type === '' ? 'no file system known here' : $part->type.($part->label === null ? '' : " “{$part->label}”");
        $files = match (true) {
            $part->type === '' => '',
            $part->files === null => ', its files could not be looked at',
            $part->files === 0 => ', no files',
            default => ', '.
                ($part->more ? 'more than ' : '').
                number_format($part->files, 0, '.', "\u{202F}").
                ($part->files === 1 ? ' file' : ' files').
                ': '.
                implode(', ', $part->names).
                ($part->files > count($part->names) ? ' …' : ''),
        };

        return "{$part->where}, ".Bytes::of($part->bytes)->decimal().": {$what}{$files}";
    }

    /** @return list<array{int, int, int}> number, offset and length in bytes */
    private static function partitions(string $path): array
    {
        $parts = [];
        foreach (explode("\n", self::ask(['partx', '-g', '-o', 'NR,START,SECTORS', '-r', $path]) ?? '') as $line) {
            $row = array_map(intval(...), explode(' ', trim($line)));
            // Partitions of no length are what is left of a table that was wiped.
            if (count($row) === 3 && $row[2] > 0) {
                $parts[] = [$row[0], $row[1] * 512, $row[2] * 512];
            }
        }

        return array_slice($parts, 0, 8);
    }

    private static function part(string $where, string $path, int $offset, int $bytes): Part
    {
        $told = self::ask(['blkid', '-p', '-O', (string) $offset, '-o', 'export', $path]) ?? '';
        $value = fn (string $key): ?string => preg_match("/^{$key}=(.+)$/m", $told, $found) === 1
            ? mb_substr(mb_scrub(stripslashes($found[1])), 0, 80)
            : null;
        $type = $value('TYPE') ?? '';
        $names = isset(self::LOOKED_INTO[$type]) ? self::files($path, $offset, $bytes, $type) : null;
        $shown = array_map(fn (string $name): string => mb_substr(mb_scrub($name), 0, 80), array_slice($names ?? [], 0, self::NAMED));

        return new Part(
            $where,
            $bytes,
            $type,
            $value('LABEL'),
            files: $names === null ? null : min(count($names), self::MOST),
            more: count($names ?? []) > self::MOST,
            names: $shown,
        );
    }

    /** @return list<string>|null */
    private static function files(string $path, int $offset, int $bytes, string $type): ?array
    {
        $script = <<<'SH'
        set -e
        at=$(mktemp -d)
        loop=$(losetup -r -f --show -o "$2" --sizelimit "$3" "$1")
        trap 'umount "$at" 2>/dev/null; losetup -d "$loop"; rmdir "$at"' EXIT
        mount -t "$4" -o "$5,nosuid,nodev,noexec" "$loop" "$at" 2>/dev/null || mount.exfat-fuse -o ro "$loop" "$at" >/dev/null
        cd "$at"
        find . -xdev -type f -printf '%P\0' | head -z -n "$6"
        cd /
        SH;
        // Only root may mount; where this worker may become it for that, it does.
        $asRoot = posix_geteuid() === 0 ? [] : ['setpriv', '--reuid', '0', '--regid', '0', '--clear-groups'];
        $found = self::ask([
            ...$asRoot,
            'unshare',
            '-m',
            '--propagation',
            'private',
            'sh',
            '-c',
            $script,
            'sh',
            $path,
            (string) $offset,
            (string) $bytes,
            $type,
            self::LOOKED_INTO[$type],
            (string) (self::MOST + 1),
        ]);

        return $found === null ? null : array_values(array_filter(explode("\0", $found), fn (string $name): bool => $name !== ''));
    }

    /**
     * @param  list<string>  $command
     * @return string|null what it said; null when it could not
     */
    private static function ask(array $command): ?string
    {
        $asked = new Process($command, env: ['PATH' => '/usr/sbin:/usr/bin:/sbin:/bin', 'LC_ALL' => 'C'], timeout: self::PATIENCE);
        try {
            $asked->run();
        } catch (\Symfony\Component\Process\Exception\ExceptionInterface) {
            return null;
        }

        return $asked->isSuccessful() ? $asked->getOutput() : null;
    }
}
