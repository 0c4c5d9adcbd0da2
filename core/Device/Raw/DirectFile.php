<?php

declare(strict_types=1);

namespace Tally\Device\Raw;

use FFI;
use FFI\CData;
use LogicException;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\HostFile;
use Tally\Device\Host\OpenFile;

/**
 * An open device or image, read and written past the host's cache where the file system allows it. What is out of step with the
 * medium's sectors goes by way of the cache. Source: open(2), O_DIRECT.
 */
final class DirectFile implements HostFile
{
    /** Both the sector of any medium and the page of any host divide it. */
    private const ALIGNMENT = 4096;

    private ?CData $memory = null;

    /** Where a page begins in that memory. */
    private ?CData $buffer = null;

    private int $room = 0;

    /** What lies in that memory, ready to be written. */
    private ?string $laid = null;

    public readonly bool $isDirect;

    /**
     * @param  OpenFile  $plain  by way of the host's cache
     * @param  OpenFile|null  $direct  the same past it
     */
    private function __construct(private readonly OpenFile $plain, private readonly ?OpenFile $direct)
    {
        $this->isDirect = $direct !== null;
    }

    /**
     * @param  OpenFile  $seen  what is to be opened, by way of itself and not of its path
     * @param  bool  $alone  whether the kernel is to refuse a device that is mounted or belongs to a volume
     * @param  bool  $past  whether to go past the host's cache, where that can be
     *
     * @throws HostError when it cannot be opened for reading and writing
     */
    public static function open(OpenFile $seen, bool $alone, bool $past = true): self
    {
        $plain = OpenFile::at($seen->held(), Calls::READ_WRITE | ($alone ? Calls::EXCLUSIVE : 0));
        try {
            $direct = $past ? OpenFile::at($plain->held(), Calls::READ_WRITE | Calls::DIRECT) : null;
        } catch (HostError) {
            // This file system knows no way past the cache.
            $direct = null;
        }

        return new self($plain, $direct);
    }

    /** @return array<int|string, int> what the kernel says of the open file, as stat() */
    public function stat(): array
    {
        return $this->plain->stat();
    }

    public function held(): string
    {
        return $this->plain->held();
    }

    /** Bytes. */
    public function size(): int
    {
        return $this->plain->size();
    }

    /** @return bool false when another run holds it */
    public function lock(): bool
    {
        return $this->plain->lock();
    }

    public function prepare(string $bytes): void
    {
        if ($this->direct !== null) {
            $this->lay($bytes);
        }
    }

    public function write(int $offset, string $bytes): void
    {
        $length = strlen($bytes);
        if ($this->direct === null || ! $this->isAligned($offset, $length)) {
            $this->plain->write($offset, $bytes);

            return;
        }
        $buffer = $this->lay($bytes);
        try {
            $moved = Calls::writeFrom($this->direct->fd, $buffer, $length, $offset, path: $this->plain->path);
        } catch (HostError $error) {
            // This medium takes larger pieces only; the host's cache in between makes them.
            $error->errno === HostError::EINVAL ? $this->plain->write($offset, $bytes) : throw $error;

            return;
        }
        $moved === $length || throw new HostError(HostError::EIO, 'write', $this->plain->path, $moved);
    }

    public function read(int $offset, int $length): string
    {
        if ($this->direct === null || ! $this->isAligned($offset, $length)) {
            return $this->plain->read($offset, $length);
        }
        $buffer = $this->buffer($length);
        $this->laid = null;
        try {
            $moved = Calls::readInto($this->direct->fd, $buffer, $length, $offset, path: $this->plain->path);
        } catch (HostError $error) {
            return $error->errno === HostError::EINVAL ? $this->plain->read($offset, $length) : throw $error;
        }

        return FFI::string($buffer, max(0, $moved));
    }

    /** @throws HostError */
    public function settle(): void
    {
        $this->plain->sync();
    }

    /** Drops what the host remembers; it must have been settled before. */
    public function forget(): void
    {
        $this->plain->forget();
    }

    public function close(): void
    {
        $this->direct?->close();
        $this->plain->close();
    }

    private function isAligned(int $offset, int $length): bool
    {
        return $offset % self::ALIGNMENT === 0 && $length % self::ALIGNMENT === 0;
    }

    private function lay(string $bytes): CData
    {
        $buffer = $this->buffer($length = strlen($bytes));
        if ($this->laid !== $bytes) {
            FFI::memcpy($buffer, $bytes, $length);
            $this->laid = $bytes;
        }

        return $buffer;
    }

    private function buffer(int $length): CData
    {
        if ($this->buffer === null || $this->room < $length) {
            $this->memory = Calls::room($length + self::ALIGNMENT);
            $cast = FFI::cdef()->cast('uintptr_t', FFI::addr($this->memory));
            $address = is_int($at = $cast->cdata ?? 0) ? $at : 0; // @phpstan-ignore property.notFound
            $pad = (self::ALIGNMENT - ($address % self::ALIGNMENT)) % self::ALIGNMENT;
            $this->buffer = FFI::addr($this->memory[$pad]); // @phpstan-ignore argument.type
            $this->room = $length;
        }

        return $this->buffer ?? throw new LogicException('No memory for a stretch.');
    }
}
