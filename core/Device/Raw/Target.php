<?php

declare(strict_types=1);

namespace Tally\Device\Raw;

/** What an open file truly is, as the kernel tells it; two of them are the same medium only if all of it agrees. */
final readonly class Target
{
    private const KIND = 0170000;

    private const BLOCK = 0060000;

    private const REGULAR = 0100000;

    private const FOLDER = 0040000;

    /** @param  int  $names  how many hard links lead to it */
    private function __construct(
        public string $path,
        public int $device,
        public int $inode,
        public int $number,
        public bool $isBlock,
        public bool $isRegular,
        public bool $isFolder,
        public int $names,
    ) {}

    /** @param  array<int|string, int>  $stat  as of stat() */
    public static function of(string $path, array $stat): self
    {
        $kind = ($stat['mode'] ?? 0) & self::KIND;

        return new self(
            $path,
            $stat['dev'] ?? 0,
            $stat['ino'] ?? 0,
            $stat['rdev'] ?? 0,
            isBlock: $kind === self::BLOCK,
            isRegular: $kind === self::REGULAR,
            isFolder: $kind === self::FOLDER,
            names: $stat['nlink'] ?? 1,
        );
    }

    /** What the path leads to by now; null when it leads nowhere. */
    public static function at(string $path): ?self
    {
        clearstatcache();
        $stat = @stat($path);

        return $stat === false ? null : self::of($path, $stat);
    }

    public function isSameAs(?self $other): bool
    {
        return $other !== null && $this->device === $other->device && $this->inode === $other->inode && $this->number === $other->number;
    }

    /** The kernel's name of a device's number, as in /sys/dev/block: `8:16`. Source: makedev(3) of glibc. */
    public function numbers(): string
    {
        return self::split($this->number);
    }

    /** @param  int  $number  as stat() gives it */
    public static function split(int $number): string
    {
        $major = (($number >> 8) & 0xFFF) | (($number >> 32) & ~0xFFF);
        $minor = ($number & 0xFF) | (($number >> 12) & ~0xFF);

        return "{$major}:{$minor}";
    }
}
