<?php

declare(strict_types=1);

namespace Tally\Device\Host;

use Closure;
use FFI;
use FFI\CData;
use LogicException;

/**
 * The few calls to the C library that this work needs and PHP either lacks or answers only with a warning: under a framework
 * a warning is swallowed, and “no space left” became “no byte was taken”. Every call here returns, or throws the number.
 *
 * Source: open(2), openat2(2), statx(2), pread(2), pwrite(2), fsync(2), syncfs(2), fallocate(2), posix_fadvise(2),
 * sync_file_range(2), futimens(3), flock(2), mkdir(2), rename(2), unlink(2), rmdir(2), lseek(2).
 */
final class Calls
{
    public const READ = 0;

    public const WRITE = 01;

    public const READ_WRITE = 02;

    public const CREATE = 0100;

    public const EXCLUSIVE = 0200;

    public const TRUNCATE = 01000;

    public const NON_BLOCKING = 04000;

    public const DIRECT = 040000;

    public const DIRECTORY = 0200000;

    public const NO_FOLLOW = 0400000;

    public const CLOSE_ON_EXEC = 02000000;

    /** Only to know what it is: opens nothing, disturbs nothing. */
    public const PATH = 010000000;

    private const DECLARED = <<<'C'
    int open(const char *path, int flags, ...);
    int close(int fd);
    long pread(int fd, const char *bytes, size_t length, long offset);
    long pwrite(int fd, const char *bytes, size_t length, long offset);
    int fsync(int fd);
    int flock(int fd, int operation);
    long lseek(int fd, long offset, int whence);
    int fallocate(int fd, int mode, long offset, long length);
    int posix_fadvise(int fd, long offset, long length, int advice);
    int sync_file_range(int fd, long offset, long length, unsigned int flags);
    int mkdir(const char *path, unsigned int mode);
    int rename(const char *from, const char *to);
    int unlink(const char *path);
    int rmdir(const char *path);
    int mkdirat(int folder, const char *name, unsigned int mode);
    int unlinkat(int folder, const char *name, int flags);
    int renameat2(int from, const char *name, int to, const char *as, unsigned int flags);
    int statx(int folder, const char *name, int flags, unsigned int mask, char *into);
    int futimens(int fd, const char *times);
    int syncfs(int fd);
    long syscall(long number, ...);
    int sched_getaffinity(int pid, size_t size, const char *mask);
    int sched_setaffinity(int pid, size_t size, const char *mask);
    int *__errno_location(void);
    C;

    /** Numbers of openat2(2) and faccessat2(2), the same on every machine. */
    private const OPENAT2 = 437;

    private const FACCESSAT2 = 439;

    /** Where a path that is none of a folder begins. */
    private const HERE = -100;

    /** No way out of the folder, no link, no other file system. */
    private const BENEATH = 0x08 | 0x04 | 0x02 | 0x01;

    private const OF_A_LINK_ITSELF = 0x100;

    private const OF_WHAT_IS_OPEN = 0x1000;

    private const NOT_ONTO_ANOTHER = 1;

    /** Bytes of the largest mask of processors that the kernel gives. */
    private const PROCESSORS = 1024;

    private static ?FFI $c = null;

    private static ?CData $facts = null;

    /** @throws NoHostCalls */
    public static function mustBeThere(): void
    {
        self::c();
    }

    /** @throws HostError */
    public static function open(string $path, int $flags, int $mode = 0600): int
    {
        $flags |= self::CLOSE_ON_EXEC;

        // @phpstan-ignore method.notFound
        return self::named('open', $path, fn (FFI $c): mixed => self::unmasked(fn (): mixed => $c->open($path, $flags, $mode)));
    }

    /**
     * What is made on a medium has the mode that is said, whatever this process keeps from others in its own files.
     *
     * @param  Closure(): mixed  $make
     */
    private static function unmasked(Closure $make): mixed
    {
        $mask = umask(0);
        try {
            return $make();
        } finally {
            umask($mask);
        }
    }

    /** By the rights that this process has, which are not those of its user where it was given more. Source: faccessat2(2). */
    public static function mayWrite(string $path): bool
    {
        return self::c()->syscall(self::FACCESSAT2, self::HERE, $path, 2, 0x200) === 0; // @phpstan-ignore method.notFound
    }

    public static function close(int $fd): void
    {
        self::c()->close($fd); // @phpstan-ignore method.notFound
    }

    /** @throws HostError */
    public static function mkdir(string $path, int $mode): void
    {
        // @phpstan-ignore method.notFound
        self::named('mkdir', $path, fn (FFI $c): mixed => self::unmasked(fn (): mixed => $c->mkdir($path, $mode)));
    }

    /** @throws HostError */
    public static function rename(string $from, string $to): void
    {
        self::named('rename', $to, fn (FFI $c): mixed => $c->rename($from, $to)); // @phpstan-ignore method.notFound
    }

    /** @throws HostError */
    public static function unlink(string $path): void
    {
        self::named('unlink', $path, fn (FFI $c): mixed => $c->unlink($path)); // @phpstan-ignore method.notFound
    }

    /** @throws HostError */
    public static function rmdir(string $path): void
    {
        self::named('rmdir', $path, fn (FFI $c): mixed => $c->rmdir($path)); // @phpstan-ignore method.notFound
    }

    /**
     * What lies beneath an open folder, by a path from it. A path that leads out of it, over a link or onto another file system
     * is refused by the kernel itself, also where it is made to while it is being opened.
     *
     * @param  int  $mode  of a file that it creates
     *
     * @throws HostError
     */
    public static function openBeneath(int $folder, string $path, int $flags, int $mode): int
    {
        $how = pack('qqq', $flags | self::CLOSE_ON_EXEC, ($flags & self::CREATE) === 0 ? 0 : $mode, self::BENEATH);

        return self::named(
            'openat2',
            $path,
            // @phpstan-ignore method.notFound
            fn (FFI $c): mixed => self::unmasked(fn (): mixed => $c->syscall(self::OPENAT2, $folder, $path, $how, strlen($how))),
        );
    }

    /** @throws HostError */
    public static function mkdirIn(int $folder, string $name, int $mode): void
    {
        // @phpstan-ignore method.notFound
        self::named('mkdir', $name, fn (FFI $c): mixed => self::unmasked(fn (): mixed => $c->mkdirat($folder, $name, $mode)));
    }

    /** @throws HostError */
    public static function unlinkIn(int $folder, string $name): void
    {
        self::named('unlink', $name, fn (FFI $c): mixed => $c->unlinkat($folder, $name, 0)); // @phpstan-ignore method.notFound
    }

    /**
     * Onto a name that is free, and never onto a file that is there.
     *
     * @throws HostError EINVAL also where this file system cannot promise that
     */
    public static function renameIn(int $from, string $name, int $to, string $as): void
    {
        self::named(
            'rename',
            $as,
            fn (FFI $c): mixed => $c->renameat2($from, $name, $to, $as, self::NOT_ONTO_ANOTHER), // @phpstan-ignore method.notFound
        );
    }

    /**
     * @param  string  $name  in that folder; a link is not followed
     * @return string the first 144 bytes of its struct statx
     *
     * @throws HostError
     */
    public static function facts(int $folder, string $name): string
    {
        $into = self::$facts ??= self::room(256);
        // With an empty name, of what is open itself.
        $how = $name === '' ? self::OF_WHAT_IS_OPEN : self::OF_A_LINK_ITSELF;
        self::named(
            'statx',
            $name,
            fn (FFI $c): mixed => $c->statx($folder, $name, $how, 0x7FF, $into), // @phpstan-ignore method.notFound
        );

        return FFI::string($into, 144);
    }

    /**
     * @param  int  $seconds  since 1970, and nanoseconds of them: when it was last changed
     *
     * @throws HostError
     */
    public static function date(int $fd, int $seconds, int $nano, string $path): void
    {
        $times = pack('qqqq', $seconds, $nano, $seconds, $nano);
        self::asked('futimens', $path, fn (FFI $c): mixed => $c->futimens($fd, $times)); // @phpstan-ignore method.notFound
    }

    /** @throws HostError where something of this file system could not be brought onto its medium */
    public static function syncAll(int $fd, string $path): void
    {
        self::asked('syncfs', $path, fn (FFI $c): mixed => $c->syncfs($fd)); // @phpstan-ignore method.notFound
    }

    /** @throws HostError */
    public static function write(int $fd, string $bytes, int $offset, string $path): int
    {
        $length = strlen($bytes);

        // @phpstan-ignore method.notFound
        return self::asked('write', $path, fn (FFI $c): mixed => $c->pwrite($fd, $bytes, $length, $offset));
    }

    /**
     * From and into memory that begins at a page, as transfers past the host's cache ask for.
     *
     * @return int bytes
     *
     * @throws HostError
     */
    public static function writeFrom(int $fd, CData $from, int $length, int $offset, string $path): int
    {
        // @phpstan-ignore method.notFound
        return self::asked('write', $path, fn (FFI $c): mixed => $c->pwrite($fd, $from, $length, $offset));
    }

    /** @throws HostError */
    public static function readInto(int $fd, CData $into, int $length, int $offset, string $path): int
    {
        return self::asked('read', $path, fn (FFI $c): mixed => $c->pread($fd, $into, $length, $offset)); // @phpstan-ignore method.notFound
    }

    /**
     * Into bytes that were made for it just here and that nobody else holds: declared as unchanging, so that PHP hands over the
     * bytes themselves and not a copy. Copying them over costs a fifth of the speed of checking.
     *
     * @return string shorter than asked for where the file ends, and where the kernel gives less at once
     *
     * @throws HostError
     */
    public static function read(int $fd, int $length, int $offset, string $path): string
    {
        $into = str_repeat("\0", $length);
        // @phpstan-ignore method.notFound
        $moved = self::asked('read', $path, fn (FFI $c): mixed => $c->pread($fd, $into, $length, $offset));

        return $moved === $length ? $into : substr($into, 0, $moved);
    }

    /** @throws HostError */
    public static function sync(int $fd, string $path): void
    {
        self::asked('fsync', $path, fn (FFI $c): mixed => $c->fsync($fd)); // @phpstan-ignore method.notFound
    }

    /** @throws HostError where this file system cannot */
    public static function allocate(int $fd, int $mode, int $length, string $path): void
    {
        self::asked('fallocate', $path, fn (FFI $c): mixed => $c->fallocate($fd, $mode, 0, $length)); // @phpstan-ignore method.notFound
    }

    /** @throws HostError */
    public static function seek(int $fd, int $offset, int $whence, string $path): int
    {
        return self::asked('lseek', $path, fn (FFI $c): mixed => $c->lseek($fd, $offset, $whence)); // @phpstan-ignore method.notFound
    }

    /** @return bool whether the advice was taken */
    public static function advise(int $fd, int $offset, int $length, int $advice): bool
    {
        return self::c()->posix_fadvise($fd, $offset, $length, $advice) === 0; // @phpstan-ignore method.notFound
    }

    public static function startWriting(int $fd, int $offset, int $length): void
    {
        self::c()->sync_file_range($fd, $offset, $length, 2); // @phpstan-ignore method.notFound
    }

    /** @return bool false when another has it */
    public static function lock(int $fd): bool
    {
        return self::c()->flock($fd, LOCK_EX | 4) === 0; // @phpstan-ignore method.notFound
    }

    /** @return string a bit for each processor that this process may run on, the first one lowest */
    public static function processors(): string
    {
        $mask = str_repeat("\0", self::PROCESSORS);
        self::c()->sched_getaffinity(0, strlen($mask), $mask); // @phpstan-ignore method.notFound

        return $mask;
    }

    public static function keepTo(string $processors): void
    {
        self::c()->sched_setaffinity(0, strlen($processors), $processors); // @phpstan-ignore method.notFound
    }

    /** Memory to read into. */
    public static function room(int $bytes): CData
    {
        return self::c()->new("char[{$bytes}]") ?? throw new LogicException('No memory to read into.');
    }

    /** Of the last call, as errno(3) numbers them. */
    public static function errno(): int
    {
        $at = self::c()->__errno_location(); // @phpstan-ignore method.notFound
        $errno = $at instanceof CData ? $at[0] : null;

        return is_int($errno) ? $errno : HostError::EIO;
    }

    /**
     * C ends a name at the first zero byte, and would take another file for it.
     *
     * @param  callable(FFI): mixed  $call
     *
     * @throws HostError
     */
    private static function named(string $name, string $path, callable $call): int
    {
        if (str_contains($path, "\0")) {
            throw new HostError(HostError::EINVAL, $name, $path);
        }

        return self::asked($name, $path, $call);
    }

    /**
     * @param  callable(FFI): mixed  $call
     *
     * @throws HostError
     */
    private static function asked(string $name, string $path, callable $call): int
    {
        $c = self::c();
        do {
            $answer = $call($c);
            $errno = is_int($answer) && $answer >= 0 ? 0 : self::errno();
        } while ($errno === HostError::EINTR);

        return is_int($answer) && $answer >= 0 ? $answer : throw new HostError($errno, $name, $path);
    }

    /** @throws NoHostCalls */
    private static function c(): FFI
    {
        try {
            return self::$c ??= FFI::cdef(self::DECLARED);
        } catch (FFI\Exception) {
            throw new NoHostCalls();
        }
    }
}
