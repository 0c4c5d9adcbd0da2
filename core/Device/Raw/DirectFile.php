<?php

declare(strict_types=1);

namespace Tally\Device\Raw;

use FFI;
use FFI\CData;
use LogicException;
use Tally\Device\Fault\UnusablePath;

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

    private const READ_WRITE = 02;

    private const EXCLUSIVE = 0200;

    private const DIRECT = 040000;

    private const CLOSE_ON_EXEC = 02000000;

    private const WILL_NOT_NEED = 4;

    private const IN_PROGRESS = 115;

    /** SIGEV_NONE. */
    private const TELL_NOTHING = 1;

    /** Both the sector of any medium and the page of any host divide it. */
    private const ALIGNMENT = 4096;

    private const CALLS = <<<'C'
        int open(const char *path, int flags);
        int close(int fd);
        long pwrite(int fd, const char *bytes, size_t length, long offset);
        int fsync(int fd);
        int flock(int fd, int operation);
        long lseek(int fd, long offset, int whence);
        int posix_fadvise(int fd, long offset, long length, int advice);
        int aio_read(void *request);
        int aio_write(void *request);
        int aio_error(const void *request);
        long aio_return(void *request);
        int aio_suspend(const void *const list[], int count, const void *timeout);
        int *__errno_location(void);
        C;

    /** The transfer on its way. */
    private ?CData $pending = null;

    /** @var array{int, int}|null of a transfer that took place at once: bytes moved, number of the error */
    private ?array $done = null;

    /** @var resource|null to read out of the host's cache */
    private $stream = null;

    private string $atOnce = '';

    private ?CData $memory = null;

    /** Where a page begins in that memory. */
    private ?CData $buffer = null;

    private int $address = 0;

    private int $room = 0;

    private bool $closed = false;

    private function __construct(private readonly FFI $c, private readonly int $fd, private readonly int $plain, public readonly bool $isDirect) {}

    /**
     * @param  bool  $past  whether to go past the host's cache, where that can be
     *
     * @throws UnusablePath when it cannot be opened for reading and writing
     */
    public static function open(string $path, bool $past = true): self
    {
        try {
            $c = FFI::cdef(self::CALLS);
        } catch (FFI\Exception) {
            throw UnusablePath::noRawAccess();
        }
        // Exclusive: the kernel itself then refuses a device that is mounted or belongs to a volume.
        $flags = self::READ_WRITE | self::CLOSE_ON_EXEC | (@filetype($path) === 'block' ? self::EXCLUSIVE : 0);
        $plain = $c->open($path, $flags); // @phpstan-ignore method.notFound
        if (! is_int($plain) || $plain < 0) {
            throw UnusablePath::cannotOpen($path, $c->__errno_location()[0]); // @phpstan-ignore method.notFound, offsetAccess.nonOffsetAccessible, argument.type
        }
        // Through the open file, not the path: whatever the path leads to by now, this is the same device.
        $direct = $past ? $c->open("/proc/self/fd/{$plain}", self::READ_WRITE | self::CLOSE_ON_EXEC | self::DIRECT) : -1; // @phpstan-ignore method.notFound

        return is_int($direct) && $direct >= 0 ? new self($c, $direct, $plain, true) : new self($c, $plain, $plain, false);
    }

    /** @return array<int|string, int>|null what the kernel says of the open file, as stat() */
    public function stat(): ?array
    {
        clearstatcache();
        $stat = @stat("/proc/self/fd/{$this->plain}");

        return $stat === false ? null : $stat;
    }

    public function size(): int
    {
        return (int) $this->c->lseek($this->plain, 0, 2); // @phpstan-ignore method.notFound, cast.int
    }

    /** @return bool false when another run holds it */
    public function lock(): bool
    {
        return $this->c->flock($this->plain, 6) === 0; // @phpstan-ignore method.notFound
    }

    /** Sends bytes on their way. The transfer before must have been waited for. */
    public function beginWriting(int $offset, string $bytes, bool $aligned = true): void
    {
        if (! $this->isDirect) {
            // Into the host's cache it goes at once: handing it to another thread would cost more.
            $moved = $this->c->pwrite($this->plain, $bytes, strlen($bytes), $offset); // @phpstan-ignore method.notFound
            $this->done = is_int($moved) && $moved >= 0 ? [$moved, 0] : [0, $this->errno()];

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

    public function settle(): bool
    {
        return $this->c->fsync($this->plain) === 0; // @phpstan-ignore method.notFound
    }

    /** Drops what the host remembers; it must have been settled before. */
    public function forget(): void
    {
        $this->c->posix_fadvise($this->plain, 0, 0, self::WILL_NOT_NEED); // @phpstan-ignore method.notFound
    }

    public function close(): void
    {
        if ($this->closed) {
            return;
        }
        $this->await();
        foreach (array_unique([$this->fd, $this->plain]) as $fd) {
            $this->c->close($fd); // @phpstan-ignore method.notFound
        }
        if ($this->stream !== null) {
            fclose($this->stream);
        }
        $this->closed = true;
    }

    public function __destruct()
    {
        $this->close();
    }

    /** The request is laid out by hand: PHP keeps the layout of a structure for longer than the library that declared it. */
    private function begin(string $way, int $offset, int $length, bool $aligned): void
    {
        $fd = $aligned && $this->isAligned($offset, $length) ? $this->fd : $this->plain;
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
            $this->memory = $this->c->new('char['.($length + self::ALIGNMENT).']') ?? throw new LogicException('No memory for a stretch.');
            $cast = $this->c->cast('uintptr_t', FFI::addr($this->memory));
            $address = is_int($at = $cast->cdata ?? 0) ? $at : 0; // @phpstan-ignore property.notFound
            $pad = (self::ALIGNMENT - $address % self::ALIGNMENT) % self::ALIGNMENT;
            $this->address = $address + $pad;
            $this->buffer = FFI::addr($this->memory[$pad]); // @phpstan-ignore argument.type
            $this->room = $length;
        }
    }

    /** Out of the host's cache it comes at once, and straight into a string: no thread and no second copy. */
    private function readAtOnce(int $offset, int $length): void
    {
        if ($this->stream === null) {
            $stream = fopen("/proc/self/fd/{$this->plain}", 'rb');
            if ($stream === false) {
                $this->done = [0, 5];

                return;
            }
            stream_set_read_buffer($stream, 0);
            $this->stream = $stream;
        }
        fseek($this->stream, $offset);
        $bytes = @fread($this->stream, max(1, $length));
        while ($bytes !== false && strlen($bytes) < $length) {
            $more = @fread($this->stream, max(1, $length - strlen($bytes)));
            if ($more === false || $more === '') {
                break;
            }
            $bytes .= $more;
        }
        [$this->atOnce, $this->done] = $bytes === false ? ['', [0, 5]] : [$bytes, [strlen($bytes), 0]];
    }

    private function errno(): int
    {
        $errno = $this->c->__errno_location()[0]; // @phpstan-ignore method.notFound, offsetAccess.nonOffsetAccessible

        return is_int($errno) ? $errno : 5;
    }

    private function buffer(): CData
    {
        return $this->buffer ?? throw new LogicException('Nothing was moved yet.');
    }
}
