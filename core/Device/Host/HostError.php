<?php

declare(strict_types=1);

namespace Tally\Device\Host;

use RuntimeException;

/**
 * What the operating system answered instead of doing what it was asked for: the number itself, which no error handler of a
 * framework can take away. Source of numbers and names: errno(3), asm-generic/errno.h.
 */
final class HostError extends RuntimeException
{
    public const EPERM = 1;

    public const ENOENT = 2;

    public const EINTR = 4;

    public const EIO = 5;

    public const ENXIO = 6;

    public const EACCES = 13;

    public const EBUSY = 16;

    public const EEXIST = 17;

    public const EXDEV = 18;

    public const ENODEV = 19;

    public const ENOTDIR = 20;

    public const EISDIR = 21;

    public const EINVAL = 22;

    public const EFBIG = 27;

    public const ENOSPC = 28;

    public const EROFS = 30;

    public const ENAMETOOLONG = 36;

    public const ELOOP = 40;

    public const EILSEQ = 84;

    public const ENOTCONN = 107;

    public const ESHUTDOWN = 108;

    public const EDQUOT = 122;

    public const ENOMEDIUM = 123;

    /** No such device or address, no such device, not connected, shut down, no medium. */
    private const GONE = [self::ENXIO, self::ENODEV, self::ENOTCONN, self::ESHUTDOWN, self::ENOMEDIUM];

    /** @param  int  $moved  bytes that were moved before */
    public function __construct(
        public readonly int $errno,
        public readonly string $call,
        public readonly string $path,
        public readonly int $moved = 0,
    ) {
        parent::__construct(self::word($errno), $errno);
    }

    /** @return string `no space left on device` */
    public static function word(int $errno): string
    {
        return $errno === 0 ? 'no byte was taken' : lcfirst(posix_strerror($errno))." (error {$errno})";
    }

    public function isFull(): bool
    {
        return in_array($this->errno, [self::ENOSPC, self::EDQUOT], true);
    }

    /** Whether the medium itself is no longer there. */
    public function isGone(): bool
    {
        return in_array($this->errno, self::GONE, true);
    }

    /** Whether the path leads over a link, out of its folder, or onto another file system. */
    public function leadsOut(): bool
    {
        return in_array($this->errno, [self::EXDEV, self::ELOOP], true);
    }

    public function isReadOnly(): bool
    {
        return $this->errno === self::EROFS;
    }

    /** Whether this name can never be had there, whatever is free: too long, or letters that the file system does not take. */
    public function isAboutTheName(): bool
    {
        return in_array($this->errno, [self::ENAMETOOLONG, self::EILSEQ, self::EINVAL], true);
    }
}
