<?php

declare(strict_types=1);

namespace Tally\Device;

use FFI;

/**
 * What PHP has no words for: telling the kernel ahead what will be done with a file, and to drop what it remembers of it.
 *
 * Each is only advice, and a file system that does not know it goes on without. Source: fallocate(2), posix_fadvise(2),
 * sync_file_range(2). Where FFI is switched off, `dd oflag=nocache` drops the cache instead.
 */
final class FileAdvice
{
    private const READ_ONLY = 0;

    private const WRITE_ONLY = 1;

    private const KEEP_SIZE = 1;

    private const WILL_NEED = 3;

    private const WILL_NOT_NEED = 4;

    private const START_WRITING = 2;

    private ?FFI $kernel = null;

    public function __construct()
    {
        try {
            $this->kernel = FFI::cdef(<<<'C'
                int open(const char *path, int flags);
                int close(int fd);
                int fsync(int fd);
                int fallocate(int fd, int mode, long offset, long length);
                int posix_fadvise(int fd, long offset, long length, int advice);
                int sync_file_range(int fd, long offset, long length, unsigned int flags);
                C);
        } catch (FFI\Exception) {
            // Not allowed under a web server; the runs that need it are on the command line.
        }
    }

    /** Drops what is kept of the file in memory; it must have been settled before. */
    public function forget(string $file): void
    {
        if ($this->kernel === null) {
            exec('dd of='.escapeshellarg($file).' oflag=nocache conv=notrunc,fdatasync count=0 2>/dev/null');

            return;
        }
        $this->advise($file, fn (FFI $kernel, int $fd): mixed => $kernel->posix_fadvise($fd, 0, 0, self::WILL_NOT_NEED)); // @phpstan-ignore method.notFound
    }

    /**
     * Drops what the host keeps of a device below its file system, and of the file behind it if it is a loop device.
     *
     * @return bool false where this user may not, or where the cache stays for another reason
     */
    public function forgetDevice(string $device): bool
    {
        $backing = trim((string) @file_get_contents('/sys/class/block/'.basename($device).'/loop/backing_file'));

        return @filetype($device) === 'block' && $this->settleAndForget($device) && ($backing === '' || $this->settleAndForget($backing));
    }

    private function settleAndForget(string $path): bool
    {
        $done = -1;
        $this->advise($path, function (FFI $kernel, int $fd) use (&$done): void {
            $kernel->fsync($fd); // @phpstan-ignore method.notFound
            $done = $kernel->posix_fadvise($fd, 0, 0, self::WILL_NOT_NEED); // @phpstan-ignore method.notFound
        });

        return $done === 0;
    }

    /** This much will be written: room can be found in one piece. The file does not look any longer for it. */
    public function reserve(string $file, int $length): void
    {
        $this->advise($file, fn (FFI $kernel, int $fd): mixed => $kernel->fallocate($fd, self::KEEP_SIZE, 0, $length), self::WRITE_ONLY); // @phpstan-ignore method.notFound
    }

    /** @return bool whether the file has this length now, with room found for all of it */
    public function allocate(string $file, int $length): bool
    {
        if ($this->kernel === null || ! touch($file)) {
            return false;
        }
        $done = -1;
        $this->advise($file, function (FFI $kernel, int $fd) use (&$done, $length): void {
            $done = $kernel->fallocate($fd, 0, 0, $length); // @phpstan-ignore method.notFound
        }, self::WRITE_ONLY);

        return $done === 0;
    }

    /** Begin to write this range now: the medium then works while the next blocks are made, and the wait at the end is short. */
    public function startWriting(string $file, int $offset, int $length): void
    {
        $this->advise($file, fn (FFI $kernel, int $fd): mixed => $kernel->sync_file_range($fd, $offset, $length, self::START_WRITING)); // @phpstan-ignore method.notFound
    }

    /** Begin to fetch this range now: the medium then reads on while the blocks before are being checked. */
    public function startReading(string $file, int $offset, int $length): void
    {
        $this->advise($file, fn (FFI $kernel, int $fd): mixed => $kernel->posix_fadvise($fd, $offset, $length, self::WILL_NEED)); // @phpstan-ignore method.notFound
    }

    /** @param  callable(FFI, int): mixed  $act */
    private function advise(string $file, callable $act, int $flags = self::READ_ONLY): void
    {
        if ($this->kernel === null) {
            return;
        }
        $fd = $this->kernel->open($file, $flags); // @phpstan-ignore method.notFound
        if (is_int($fd) && $fd >= 0) {
            $act($this->kernel, $fd);
            $this->kernel->close($fd); // @phpstan-ignore method.notFound
        }
    }
}
