<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;

/** What the host keeps in memory of files and media, and how it is made to drop it. Source: posix_fadvise(2). */
final class HostCache
{
    /** Drops what is kept of the file; it must have been settled before. One that cannot be opened is left as it is. */
    public static function forget(string $file): bool
    {
        try {
            $open = OpenFile::at($file, Calls::READ);
        } catch (HostError) {
            return false;
        }
        $done = $open->forget();
        $open->close();

        return $done;
    }

    /**
     * Drops what the host keeps of a device below its file system, and of the file behind it if it is a loop device.
     *
     * @return bool false where this user may not, or where the cache stays for another reason
     */
    public static function forgetDevice(string $device): bool
    {
        $backing = trim((string) @file_get_contents('/sys/class/block/'.basename($device).'/loop/backing_file'));

        return @filetype($device) === 'block' && self::settleAndForget($device) && ($backing === '' || self::settleAndForget($backing));
    }

    private static function settleAndForget(string $path): bool
    {
        try {
            $open = OpenFile::at($path, Calls::READ);
        } catch (HostError) {
            return false;
        }
        try {
            $open->sync();
        } catch (HostError) {
            // What cannot be brought down is told where it was written.
        }
        $done = $open->forget();
        $open->close();

        return $done;
    }
}
