<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Generator;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;

/** Reads files stretch by stretch, and has the medium read on meanwhile. */
final readonly class Reading
{
    /** Bytes that are read at a time. */
    public const STRETCH = 1_048_576;

    /** Bytes that the medium is asked for ahead. */
    public const AHEAD = 8_388_608;

    /** A file is asked for whole while those before it are read, so many of them. */
    public const FILES_AHEAD = 32;

    /**
     * @return Generator<int, string> offset => bytes, until the file ends
     *
     * @throws HostError
     */
    public static function of(OpenFile $file, int $size): Generator
    {
        for ($at = 0; $at < $size; $at += strlen($bytes)) {
            if ($size > self::STRETCH && $at + self::AHEAD < $size) {
                $file->startReading($at + self::AHEAD, self::STRETCH);
            }
            $bytes = $file->read($at, min(self::STRETCH, $size - $at));
            if ($bytes === '') {
                return;
            }
            yield $at => $bytes;
        }
    }

    /**
     * From the medium, and not from what the host remembers.
     *
     * @return string its XXH128, hexadecimal
     *
     * @throws HostError
     */
    public static function anew(OpenFile $file, int $size): string
    {
        $file->forget();
        $sum = hash_init('xxh128');
        foreach (self::of($file, $size) as $bytes) {
            hash_update($sum, $bytes);
        }

        return hash_final($sum);
    }

    /**
     * Both checksums of it.
     *
     * @throws HostError
     */
    public static function sums(OpenFile $file, int $size): Sums
    {
        $summing = new Summing();
        foreach (self::of($file, $size) as $bytes) {
            $summing->add($bytes);
        }

        return $summing->sums();
    }
}
