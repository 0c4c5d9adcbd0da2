<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use InvalidArgumentException;
use Tally\Transfer\FilePath;
use Tally\Transfer\ListedFile;
use Tally\Value\NotUsable;

/**
 * A list as `sha256sum -c` and `xxhsum -c` read it: a checksum, two spaces, a name. Source: coreutils manual, “md5sum invocation”;
 * xxhsum(1).
 */
final readonly class ChecksumList
{
    /** `sha256sum` begins the line of a name with a backslash or a line’s end in it with one, and writes those as two letters. */
    private const ESCAPED = ['\\' => '\\\\', "\n" => '\\n', "\r" => '\\r'];

    /**
     * @param  string  $folder  that the files are in, beside the list
     * @param  list<ListedFile>  $files
     */
    public static function sha256(string $folder, array $files): string
    {
        $lines = '';
        foreach ($files as $file) {
            $path = "{$folder}/{$file->path}";
            $escaped = strtr($path, self::ESCAPED);
            $lines .= ($escaped === $path ? '' : '\\')."{$file->sums->sha256}  {$escaped}\n";
        }

        return $lines;
    }

    /**
     * `xxhsum` knows no such letters: a name with a line’s end in it can stand in no list of its, and is left out.
     *
     * @param  string  $folder  that the files are in, beside the list
     * @param  list<ListedFile>  $files
     */
    public static function xxh128(string $folder, array $files): string
    {
        $lines = '';
        foreach ($files as $file) {
            $lines .= str_contains($file->path, "\n") ? '' : "{$file->sums->xxh128}  {$folder}/{$file->path}\n";
        }

        return $lines;
    }

    /**
     * @param  int  $digits  of a checksum, hexadecimal
     * @param  bool  $isEscaped  whether names are written as `sha256sum` does
     * @return list<array{string, string}> paths and their checksums
     *
     * @throws NotUsable when a line is no such line, or its name leads out of the folder
     */
    public static function read(string $list, int $digits, bool $isEscaped): array
    {
        $sums = [];
        foreach (explode("\n", $list) as $number => $line) {
            if ($line === '') {
                continue;
            }
            if (preg_match('/^(\\\\?)([0-9a-f]{'.$digits.'}) [ *](.+)$/s', $line, $found) !== 1) {
                throw NotUsable::field('line '.($number + 1), FilePath::shown($line), 'a checksum, two spaces and a name would do.');
            }
            $path = $isEscaped && $found[1] !== '' ? strtr($found[3], array_flip(self::ESCAPED)) : $found[3];
            try {
                $sums[] = [FilePath::of($path)->path, $found[2]];
            } catch (InvalidArgumentException $fault) {
                throw NotUsable::field('line '.($number + 1), FilePath::shown($path), $fault->getMessage());
            }
        }

        return $sums;
    }
}
