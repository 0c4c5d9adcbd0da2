<?php

declare(strict_types=1);

namespace Tally\Device\Host;

/** One open file or folder of the host. Whatever its path leads to later, it stays the same one. Offsets and lengths in bytes. */
final class OpenFile implements HostFile
{
    private const KEEP_SIZE = 1;

    private const WILL_NEED = 3;

    private const WILL_NOT_NEED = 4;

    private bool $closed = false;

    private function __construct(public readonly int $fd, public readonly string $path) {}

    /**
     * @param  int  $flags  of Calls
     *
     * @throws HostError
     */
    public static function at(string $path, int $flags, int $mode = 0600): self
    {
        return new self(Calls::open($path, $flags, $mode), $path);
    }

    /**
     * @param  self  $folder  that the path is from, and does not lead out of
     * @param  int  $flags  of Calls
     *
     * @throws HostError
     */
    public static function beneath(self $folder, string $path, int $flags, int $mode): self
    {
        return new self(Calls::openBeneath($folder->fd, $path, $flags, $mode), $path);
    }

    /** @return string a path that leads to this very one, for as long as it is open */
    public function held(): string
    {
        return "/proc/self/fd/{$this->fd}";
    }

    /** @return string where it lies by now, as the kernel names it */
    public function real(): string
    {
        return (string) @readlink($this->held());
    }

    /** @return array<int|string, int> as stat() */
    public function stat(): array
    {
        clearstatcache();
        $stat = @stat($this->held());

        return $stat === false ? [] : $stat;
    }

    public function prepare(string $bytes): void {}

    /** @throws HostError with how much was taken before */
    public function write(int $offset, string $bytes): void
    {
        for ($done = 0, $length = strlen($bytes); $done < $length; $done += $moved) {
            try {
                $moved = Calls::write($this->fd, $done === 0 ? $bytes : substr($bytes, $done), $offset + $done, $this->path);
            } catch (HostError $error) {
                throw new HostError($error->errno, $error->call, $this->path, $done);
            }
            if ($moved === 0) {
                throw new HostError(HostError::EIO, 'write', $this->path, $done);
            }
        }
    }

    /**
     * @return string shorter than asked for only where the file ends
     *
     * @throws HostError
     */
    public function read(int $offset, int $length): string
    {
        $bytes = $length > 0 ? Calls::read($this->fd, $length, $offset, $this->path) : '';
        for ($last = strlen($bytes); $last > 0 && ($done = strlen($bytes)) < $length; $last = strlen($more)) {
            $bytes .= $more = Calls::read($this->fd, $length - $done, $offset + $done, $this->path);
        }

        return $bytes;
    }

    /** @throws HostError */
    public function sync(): void
    {
        Calls::sync($this->fd, $this->path);
    }

    /** @return bool false when another holds it */
    public function lock(): bool
    {
        return Calls::lock($this->fd);
    }

    /** Drops what the host keeps of it in memory; it must have been settled before. */
    public function forget(): bool
    {
        return Calls::advise($this->fd, 0, 0, self::WILL_NOT_NEED);
    }

    /** Begin to fetch this range now: the medium then reads on while the blocks before are being checked. */
    public function startReading(int $offset, int $length): void
    {
        Calls::advise($this->fd, $offset, $length, self::WILL_NEED);
    }

    /** Begin to write this range now: the medium then works while the next blocks are made, and the wait at the end is short. */
    public function startWriting(int $offset, int $length): void
    {
        Calls::startWriting($this->fd, $offset, $length);
    }

    /**
     * This much will be written: room can be found in one piece. The file does not look any longer for it, and a file system
     * that cannot goes on without.
     */
    public function reserve(int $length): void
    {
        try {
            Calls::allocate($this->fd, self::KEEP_SIZE, $length, $this->path);
        } catch (HostError) {
            // Only advice.
        }
    }

    /** @throws HostError where not all of it can be laid out */
    public function allocate(int $length): void
    {
        Calls::allocate($this->fd, 0, $length, $this->path);
    }

    /** Bytes. */
    public function size(): int
    {
        return Calls::seek($this->fd, 0, 2, $this->path);
    }

    public function close(): void
    {
        if (! $this->closed) {
            Calls::close($this->fd);
        }
        $this->closed = true;
    }

    public function __destruct()
    {
        $this->close();
    }
}
