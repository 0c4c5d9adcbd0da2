<?php

declare(strict_types=1);

namespace App\Runs;

/** A small file that is either there whole, and on the disk, or not at all. */
final readonly class WholeFile
{
    /** @return bool whether it was written; what was there before under this name is replaced only then */
    public static function put(string $path, string $bytes): bool
    {
        @mkdir(dirname($path), 0700, true);
        $handle = @fopen("{$path}.new", 'wb');

        return $handle !== false &&
            @fwrite($handle, $bytes) === strlen($bytes) &&
            fsync($handle) &&
            fclose($handle) &&
            rename("{$path}.new", $path);
    }
}
