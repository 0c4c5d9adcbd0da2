<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Pattern\Imprint;
use Tally\Quantity\Bytes;

/**
 * The free space of a mounted card, as numbered files of at most 1 GiB in a folder of the run's own.
 *
 * It never touches a file that it did not make, and leaves a reserve free.
 */
final class FolderDevice implements Device
{
    private const FILE = 1_073_741_824;

    /** Room for the file system's own books: without it the last files of a full card cannot be closed cleanly. */
    private const RESERVE = 16_777_216;

    /** On small media the reserve is at most this share of the whole, so that it does not stand in the way of a proof. */
    private const RESERVE_SHARE = 100;

    /** How far the kernel works ahead of reading. */
    private const AHEAD = 16 * Imprint::BLOCK;

    /** @var resource|null */
    private $handle = null;

    private int $open = -1;

    /** @var array<int, true> numbers of files written since the last settle */
    private array $unsettled = [];

    /** @var array<int, true> numbers of files that room has been found for */
    private array $reserved = [];

    private int $perFile = self::FILE;

    /** How far into the open file the kernel has been asked to write or to fetch. */
    private int $pushed = 0;

    private function __construct(
        private readonly RunFolder $folder,
        private readonly string $where,
        private readonly Bytes $size,
        public readonly Mount $mount,
        private readonly FileAdvice $advice,
    ) {}

    /**
     * @param  Bytes|null  $asked  how much to use; null for all free space
     *
     * @throws UnusablePath|CannotWrite
     */
    public static function open(string $path, ?Bytes $asked = null, FileAdvice $advice = new FileAdvice): self
    {
        $card = WritableFolder::of($path);
        RunFolder::clearLeftovers($card->path);
        $most = $card->free(min(self::RESERVE, intdiv($card->mount->total()->count, self::RESERVE_SHARE)));
        $size = $asked ?? Bytes::of($most);
        if ($size->count > $most || $size->isZero()) {
            throw UnusablePath::tooSmall($path, Bytes::of($most)->decimal(), $asked === null ? 'some space' : $size->decimal());
        }

        return new self(RunFolder::create($card->path), $path, $size, $card->mount, $advice);
    }

    /**
     * The device of a run that was left, with its files still on the card.
     *
     * @throws UnusablePath
     */
    public static function takeUp(string $path, string $folder, Bytes $size, FileAdvice $advice = new FileAdvice): self
    {
        $card = WritableFolder::of($path);

        return new self(RunFolder::takeUp($card->path, $folder), $path, $size, $card->mount, $advice);
    }

    /**
     * One large file for which room is found beforehand, so that places in it can be written in any order.
     *
     * @throws UnusablePath|CannotWrite when the file system cannot do that
     */
    public static function inOneFile(string $path, ?Bytes $asked = null, FileAdvice $advice = new FileAdvice): self
    {
        $device = self::open($path, $asked, $advice);
        $device->perFile = PHP_INT_MAX;
        if (! $device->advice->allocate($device->folder->file(0), $device->size->count)) {
            $device->clear();
            throw UnusablePath::noLargeFile($path, $device->size->decimal());
        }
        $device->reserved[0] = true;

        return $device;
    }

    /** @return string the name of the folder that holds its files */
    public function folder(): string
    {
        return basename($this->folder->path);
    }

    /** Leaves the files where they are, for the run to be continued. */
    public function leave(): void
    {
        $this->close();
        $this->folder->leave();
    }

    public function size(): Bytes
    {
        return $this->size;
    }

    public function stretch(): int
    {
        return Imprint::BLOCK;
    }

    public function write(int $offset, Data $data): void
    {
        $number = intdiv($offset, $this->perFile);
        $handle = $this->handle($number, true) ?? throw $this->failed($offset, error_get_last()['message'] ?? 'the file cannot be opened');
        fseek($handle, $offset % $this->perFile);
        $bytes = $data->bytes();
        for ($done = 0; $done < strlen($bytes); $done += $written) {
            $written = @fwrite($handle, $done === 0 ? $bytes : substr($bytes, $done));
            if ($written === false || $written === 0) {
                throw $this->failed($offset + $done, error_get_last()['message'] ?? 'no byte was taken');
            }
        }
        $this->unsettled[$number] = true;
        $this->pushOut($number, $offset % $this->perFile + strlen($bytes));
    }

    public function read(int $offset, int $length): Data
    {
        $handle = $this->handle(intdiv($offset, $this->perFile), false) ?? throw $this->unread($offset, $length, 'the file cannot be opened');
        if (ftell($handle) !== $offset % $this->perFile) {
            fseek($handle, $offset % $this->perFile);
        }
        $this->fetchAhead(intdiv($offset, $this->perFile), $offset % $this->perFile);
        $bytes = @fread($handle, max(1, $length));
        while ($bytes !== false && strlen($bytes) < $length) {
            $more = @fread($handle, max(1, $length - strlen($bytes)));
            $bytes = $more === false || $more === '' ? false : $bytes.$more;
        }

        return $bytes === false ? throw $this->unread($offset, $length, 'the card answered with an error or the file ended early') : new Literal($bytes);
    }

    public function settle(): void
    {
        foreach (array_keys($this->unsettled) as $number) {
            $handle = $this->handle($number, true);
            if ($handle === null || ! @fsync($handle)) {
                throw $this->folder->isThere() ? CannotSettle::on($this->where, 'flushing failed') : MediumGone::from($this->where);
            }
        }
        $this->unsettled = [];
    }

    public function forget(): bool
    {
        $this->close();
        for ($number = 0; is_file($this->folder->file($number)); $number++) {
            $this->advice->forget($this->folder->file($number));
        }

        return ! $this->mount->isInMemory() && (! $this->mount->hasCacheBelow() || $this->advice->forgetDevice($this->mount->source));
    }

    /** Removes all that this device wrote. Safe to call twice. */
    public function clear(): void
    {
        $this->close();
        $this->folder->remove();
    }

    /** @return resource|null */
    private function handle(int $number, bool $forWriting)
    {
        $key = $forWriting ? $number : ~$number;
        if ($this->open !== $key || $this->handle === null) {
            $this->close();
            $handle = @fopen($this->folder->file($number), $forWriting ? 'cb' : 'rb');
            if ($handle === false) {
                return null;
            }
            // PHP's own 8 KiB buffer would cut every block into pieces.
            stream_set_write_buffer($handle, 0);
            stream_set_read_buffer($handle, 0);
            [$this->handle, $this->open, $this->pushed] = [$handle, $key, 0];
            if ($forWriting && ! isset($this->reserved[$number]) && ! $this->mount->isInMemory()) {
                $this->advice->reserve($this->folder->file($number), min($this->perFile, $this->size->count - $number * $this->perFile));
                $this->reserved[$number] = true;
            }
        }

        return $this->handle;
    }

    /** Every few blocks, have the kernel begin to write. */
    private function pushOut(int $number, int $upTo): void
    {
        if ($upTo - $this->pushed >= 8 * Imprint::BLOCK && ! $this->mount->isInMemory()) {
            $this->advice->startWriting($this->folder->file($number), $this->pushed, $upTo - $this->pushed);
            $this->pushed = $upTo;
        }
    }

    /** Every few blocks, have the kernel fetch the next ones. */
    private function fetchAhead(int $number, int $from): void
    {
        if ($from < $this->pushed - self::AHEAD || $from >= $this->pushed) {
            $this->pushed = $from;
        }
        if ($this->pushed - $from <= self::AHEAD / 2) {
            $this->advice->startReading($this->folder->file($number), $this->pushed, self::AHEAD);
            $this->pushed += self::AHEAD;
        }
    }

    private function close(): void
    {
        if ($this->handle !== null) {
            fclose($this->handle);
        }
        [$this->handle, $this->open] = [null, -1];
    }

    private function failed(int $offset, string $why): DeviceFault
    {
        return match (true) {
            ! $this->folder->isThere() => MediumGone::from($this->where),
            // PHP tells the number only inside its sentence; 28 is ENOSPC, 122 is EDQUOT.
            preg_match('/errno=(28|122)\b/', $why) === 1 => CannotWrite::full($offset, $this->where),
            default => CannotWrite::at($offset, $this->where, $why),
        };
    }

    private function unread(int $offset, int $length, string $why): DeviceFault
    {
        return $this->folder->isThere()
            ? CannotRead::at($offset, $length, $this->where, $why)
            : MediumGone::from($this->where);
    }
}
