<?php

declare(strict_types=1);

namespace Tally\Device\Raw;

use FFI;
use FFI\CData;
use LogicException;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\NoHostCalls;
use Tally\Device\Host\OpenFile;

/**
 * An open device or image, read and written past the host's cache where the file system allows it.
 *
 * One transfer at a time is on its way while the program goes on: the C library carries it out in a thread of its own, so
 * that making or checking the pattern and moving the bytes take place on two cores. Source: open(2) O_DIRECT, aio(7) and
 * the layout of struct aiocb in glibc's <aio.h> for 64-bit machines.
 */
final class DirectFile
{
    public const NOT_ALIGNED = 22;

    private const IN_PROGRESS = 115;

    /** SIGEV_NONE. */
    private const TELL_NOTHING = 1;

    /** Both the sector of any medium and the page of any host divide it. */
    private const ALIGNMENT = 4096;

    private const CALLS = <<<'C'
    int aio_read(void *request);
    int aio_write(void *request);
    int aio_error(const void *request);
    long aio_return(void *request);
    int aio_suspend(const void *const list[], int count, const void *timeout);
    C;

    /** The transfer on its way. */
    private ?CData $pending = null;

    /** @var array{int, int}|null of a transfer that took place at once: bytes moved, number of the error */
    private ?array $done = null;

    private string $atOnce = '';

    private ?CData $memory = null;

    /** Where a page begins in that memory. */
    private ?CData $buffer = null;

    private int $address = 0;

    private int $room = 0;

    private bool $closed = false;

    /**
     * @param  OpenFile  $plain  by way of the host's cache
     * @param  OpenFile|null  $direct  the same past it
     */
    private function __construct(private readonly FFI $c, private readonly OpenFile $plain, private readonly ?OpenFile $direct)
    {
        $this->isDirect = $direct !== null;
    }

    public readonly bool $isDirect;

    /**
     * @param  OpenFile  $seen  what is to be opened, by way of itself and not of its path
     * @param  bool  $past  whether to go past the host's cache, where that can be
     *
     * @throws HostError when it cannot be opened for reading and writing
     */
    public static function open(OpenFile $seen, bool $isBlock, bool $past = true): self
    {
        try {
            $c = FFI::cdef(self::CALLS);
        } catch (FFI\Exception) {
            throw new NoHostCalls();
        }
        // Exclusive: the kernel itself then refuses a device that is mounted or belongs to a volume.
        $plain = OpenFile::at($seen->held(), Calls::READ_WRITE | ($isBlock ? Calls::EXCLUSIVE : 0));
        try {
            $direct = $past ? OpenFile::at($plain->held(), Calls::READ_WRITE | Calls::DIRECT) : null;
        } catch (HostError) {
            // This file system knows no way past the cache.
            $direct = null;
        }

        return new self($c, $plain, $direct);
    }

    /** @return array<int|string, int> what the kernel says of the open file, as stat() */
    public function stat(): array
    {
        return $this->plain->stat();
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

    /** Sends bytes on their way. The transfer before must have been waited for. */
    public function beginWriting(int $offset, string $bytes, bool $aligned = true): void
    {
        if (! $this->isDirect) {
            // Into the host's cache it goes at once: handing it to another thread would cost more.
            try {
                $this->plain->write($offset, $bytes);
                $this->done = [strlen($bytes), 0];
            } catch (HostError $error) {
                $this->done = [$error->moved, $error->errno];
            }

            return;
        }
        $this->makeRoom(strlen($bytes));
        FFI::memcpy($this->buffer(), $bytes, strlen($bytes));
        $this->begin('write', $offset, strlen($bytes), $aligned);
    }

    public function beginReading(int $offset, int $length, bool $aligned = true): void
    {
        if (! $this->isDirect) {
            $this->readAtOnce($offset, $length);

            return;
        }
        $this->makeRoom($length);
        $this->begin('read', $offset, $length, $aligned);
    }

    /** @return array{int, int} bytes moved, and the number of the error; 0 for none */
    public function await(): array
    {
        if ($this->done !== null) {
            [$done, $this->done] = [$this->done, null];

            return $done;
        }
        if ($this->pending === null) {
            return [0, 0];
        }
        $one = FFI::addr($this->pending);
        $list = $this->c->new('void*[1]');
        $list[0] = $one;
        $error = $this->c->aio_error($one); // @phpstan-ignore method.notFound
        while ($error === self::IN_PROGRESS) {
            $this->c->aio_suspend($list, 1, null); // @phpstan-ignore method.notFound
            $error = $this->c->aio_error($one); // @phpstan-ignore method.notFound
        }
        $moved = $this->c->aio_return($one); // @phpstan-ignore method.notFound
        $this->pending = null;

        return [is_int($moved) ? max(0, $moved) : 0, is_int($error) ? $error : 5];
    }

    public function bytes(int $length): string
    {
        if (! $this->isDirect) {
            return $this->atOnce;
        }

        return FFI::string($this->buffer(), max(0, $length));
    }

    public function isAligned(int $offset, int $length): bool
    {
        return $offset % self::ALIGNMENT === 0 && $length % self::ALIGNMENT === 0;
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
        if ($this->closed) {
            return;
        }
        $this->await();
        $this->direct?->close();
        $this->plain->close();
        $this->closed = true;
    }

    public function __destruct()
    {
        $this->close();
    }

    /** The request is laid out by hand: PHP keeps the layout of a structure for longer than the library that declared it. */
    private function begin(string $way, int $offset, int $length, bool $aligned): void
    {
        $fd = ($aligned && $this->isAligned($offset, $length) ? $this->direct ?? $this->plain : $this->plain)->fd;
        // Descriptor, operation, priority; where the bytes are, how many; to be told of nothing when done; from which offset.
        $request = pack('lllx4qqx8llx48x32qx32', $fd, 0, 0, $this->address, $length, 0, self::TELL_NOTHING, $offset);
        $this->pending = $this->c->new('char['.strlen($request).']') ?? throw new LogicException('No memory for a transfer.');
        FFI::memcpy($this->pending, $request, strlen($request));
        $one = FFI::addr($this->pending);
        $way === 'write' ? $this->c->aio_write($one) : $this->c->aio_read($one); // @phpstan-ignore method.notFound, method.notFound
    }

    private function makeRoom(int $length): void
    {
        if ($this->room < $length) {
            $this->memory =
                $this->c->new('char['.($length + self::ALIGNMENT).']') ?? throw new LogicException('No memory for a stretch.');
            $cast = $this->c->cast('uintptr_t', FFI::addr($this->memory));
            $address = is_int($at = $cast->cdata ?? 0) ? $at : 0; // @phpstan-ignore property.notFound
            $pad = (self::ALIGNMENT - ($address % self::ALIGNMENT)) % self::ALIGNMENT;
            $this->address = $address + $pad;
            $this->buffer = FFI::addr($this->memory[$pad]); // @phpstan-ignore argument.type
            $this->room = $length;
        }
    }

    /** Out of the host's cache it comes at once: no thread is worth its while. */
    private function readAtOnce(int $offset, int $length): void
    {
        try {
            $this->atOnce = $this->plain->read($offset, $length);
            $this->done = [strlen($this->atOnce), 0];
        } catch (HostError $error) {
            [$this->atOnce, $this->done] = ['', [0, $error->errno]];
        }
    }

    private function buffer(): CData
    {
        return $this->buffer ?? throw new LogicException('Nothing was moved yet.');
    }
}
