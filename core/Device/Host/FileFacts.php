<?php

declare(strict_types=1);

namespace Tally\Device\Host;

/**
 * What a file system says of one of its files, to the nanosecond: PHP's own stat() rounds to seconds, and two files that differ
 * by less would look alike. Source: statx(2), linux/stat.h.
 */
final readonly class FileFacts
{
    private const KIND = 0o170000;

    private const FILE = 0o100000;

    private const FOLDER = 0o040000;

    private const LINK = 0o120000;

    /**
     * @param  int  $size  bytes
     * @param  int  $changed  when its content last was; seconds since 1970
     * @param  int  $nano  of that second
     * @param  string  $state  another one once anything about it has changed
     * @param  string  $device  and which file system it lies on
     */
    private function __construct(
        private int $mode,
        public int $size,
        public int $changed,
        public int $nano,
        public string $state,
        public string $device,
    ) {}

    /** @throws HostError */
    public static function in(int $folder, string $name): self
    {
        return self::read(Calls::facts($folder, $name));
    }

    /** @throws HostError */
    public static function of(OpenFile $open): self
    {
        return self::read(Calls::facts($open->fd, ''));
    }

    private static function read(string $packed): self
    {
        $said = unpack('vmode/x2/Pinode/Psize', $packed, 28);
        $times = unpack('Pmoved/Vmovednano/x4/Pchanged/Vchangednano', $packed, 96);
        $number = fn (string $name): int => is_int($one = $said[$name] ?? $times[$name] ?? null) ? $one : 0;

        return new self(
            $number('mode'),
            $number('size'),
            $number('changed'),
            $number('changednano'),
            // Inode and size, when its content last changed, and when anything about it did.
            state: substr($packed, 32, 16).substr($packed, 96, 32),
            device: substr($packed, 136, 8),
        );
    }

    public function isFile(): bool
    {
        return ($this->mode & self::KIND) === self::FILE;
    }

    public function isFolder(): bool
    {
        return ($this->mode & self::KIND) === self::FOLDER;
    }

    public function isLink(): bool
    {
        return ($this->mode & self::KIND) === self::LINK;
    }
}
