<?php

declare(strict_types=1);

namespace Tally\Device;

use FFI;

/**
 * The kernel's cache of a file: push it out early, or drop it.
 *
 * Source: posix_fadvise(2), sync_file_range(2). Where FFI is switched off, `dd oflag=nocache` drops the cache instead.
 */
final class PageCache
{
    private const READ_ONLY = 0;

    private const WILL_NOT_NEED = 4;

    private const START_WRITING = 2;

    private ?FFI $kernel = null;

    public function __construct()
    {
        try {
            $this->kernel = FFI::cdef(<<<'C'
                int open(const char *path, int flags);
                int close(int fd);
                int posix_fadvise(int fd, long offset, long length, int advice);
                int sync_file_range(int fd, long offset, long length, unsigned int flags);
                C);
        } catch (FFI\Exception) {
            // Not allowed under a web server; the runs that need it are on the command line.
        }
    }

    /** Drops clean pages of the file; it must have been settled before. */
    public function drop(string $file): void
    {
        if ($this->kernel === null) {
            exec('dd of='.escapeshellarg($file).' oflag=nocache conv=notrunc,fdatasync count=0 2>/dev/null');

            return;
        }
        $this->withFile($file, fn (FFI $kernel, int $fd): mixed => $kernel->posix_fadvise($fd, 0, 0, self::WILL_NOT_NEED)); // @phpstan-ignore method.notFound
    }

    /**
     * Asks the kernel to begin writing this range now, without waiting: the medium then works while the next blocks are
     * made, and the wait at the end is short.
     */
    public function startWriting(string $file, int $offset, int $length): void
    {
        if ($this->kernel !== null) {
            $this->withFile($file, fn (FFI $kernel, int $fd): mixed => $kernel->sync_file_range($fd, $offset, $length, self::START_WRITING)); // @phpstan-ignore method.notFound
        }
    }

    /** @param  callable(FFI, int): mixed  $act */
    private function withFile(string $file, callable $act): void
    {
        assert($this->kernel !== null);
        $fd = $this->kernel->open($file, self::READ_ONLY); // @phpstan-ignore method.notFound
        if (is_int($fd) && $fd >= 0) {
            $act($this->kernel, $fd);
            $this->kernel->close($fd); // @phpstan-ignore method.notFound
        }
    }
}
