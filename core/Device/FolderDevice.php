<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\CannotResume;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\HostErrorMapper;
use Tally\Device\Fault\HostRefused;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;
use Tally\Device\Turns\Turns;
use Tally\Pattern\Data;
use Tally\Pattern\TestPattern;
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
    private const AHEAD = 16 * TestPattern::BLOCK;

    private ?OpenFile $open = null;

    private int $number = -1;

    /** @var array<int, true> numbers of files written since the last settle */
    private array $unsettled = [];

    /** @var array<int, true> numbers of files that room has been found for */
    private array $reserved = [];

    private int $perFile = self::FILE;

    /** How far into the open file the kernel has been asked to write or to fetch. */
    private int $pushed = 0;

    private readonly Turns $turns;

    private function __construct(public readonly HeldFolder $card, private readonly RunFolder $folder, private readonly Bytes $size)
    {
        $this->turns = Turns::over($size->count);
    }

    /**
     * @param  Bytes|null  $asked  how much to use; null for all free space
     * @param  list<string>  $kept  folders of runs that are to be continued
     *
     * @throws UnusablePath|CannotWrite
     */
    public static function open(HeldFolder $card, ?Bytes $asked = null, array $kept = []): self
    {
        RunFolder::clearLeftovers($card, $kept);
        $most = $card->free(min(self::RESERVE, intdiv($card->total()->count, self::RESERVE_SHARE)));
        $size = $asked ?? Bytes::of($most);
        if ($size->count > $most || $size->isZero()) {
            throw RunFolder::holdsAny($card, $kept)
                ? CannotResume::heldByProof($card->given, Bytes::of($most)->decimal(), $asked === null ? 'some space' : $size->decimal())
                : CannotOpen::tooSmall($card->given, Bytes::of($most)->decimal(), $asked === null ? 'some space' : $size->decimal());
        }

        return new self($card, RunFolder::create($card), $size);
    }

    /**
     * The device of a run that was left, with its files still on the card.
     *
     * @throws UnusablePath
     */
    public static function reopen(HeldFolder $card, string $folder, Bytes $size): self
    {
        return new self($card, RunFolder::reopen($card, $folder), $size);
    }

    /**
     * One large file for which room is found beforehand, so that places in it can be written in any order.
     *
     * @param  list<string>  $kept  folders of runs that are to be continued
     *
     * @throws UnusablePath|CannotWrite when the file system cannot do that
     */
    public static function inOneFile(HeldFolder $card, ?Bytes $asked = null, array $kept = []): self
    {
        $device = self::open($card, $asked, $kept);
        $device->perFile = PHP_INT_MAX;
        try {
            $file = OpenFile::at($device->folder->file(0), Calls::READ_WRITE | Calls::CREATE);
            $file->allocate($device->size->count);
            $file->close();
        } catch (HostError $error) {
            $device->close();
            throw $error->isFull() ? CannotWrite::full(0, $card->given) : CannotOpen::noLargeFile($card->given, $device->size->decimal());
        }
        $device->reserved[0] = true;

        return $device;
    }

    public function facts(): DeviceFacts
    {
        return new DeviceFacts($this->card->identity(), $this->folder->name);
    }

    public function leave(): void
    {
        $this->turns->end();
        $this->closeFile();
        $this->folder->leave();
        $this->card->letGo();
    }

    public function size(): Bytes
    {
        return $this->size;
    }

    public function stretch(): int
    {
        return TestPattern::BLOCK;
    }

    public function write(int $offset, Data $data): void
    {
        [$number, $within] = [intdiv($offset, $this->perFile), $offset % $this->perFile];
        try {
            $this->turns->write($this->file($number), $offset - $within, $within, $data);
        } catch (HostError $error) {
            throw HostErrorMapper::writing($error, $offset + $error->moved, $this->card->given, $this->folder->isThere());
        }
        $this->unsettled[$number] = true;
        $this->pushOut($this->file($number), $within + $data->length());
    }

    public function read(int $offset, int $length): Data
    {
        [$number, $within] = [intdiv($offset, $this->perFile), $offset % $this->perFile];
        try {
            $file = $this->file($number, false);
            $this->fetchAhead($file, $within);
            $data = $this->turns->read($file, $offset - $within, $within, $length);
        } catch (HostError $error) {
            throw HostErrorMapper::reading($error, $offset, $length, $this->card->given, isThere: $this->folder->isThere());
        }

        return $data->length() === $length ? $data : throw HostRefused::changed($this->card->given);
    }

    public function settle(): void
    {
        $this->card->mustBeThere();
        foreach (array_keys($this->unsettled) as $number) {
            try {
                $this->file($number)->sync();
            } catch (HostError $error) {
                throw HostErrorMapper::settling($error, $number * $this->perFile, $this->card->given, $this->folder->isThere());
            }
        }
        $this->unsettled = [];
    }

    public function forget(): bool
    {
        $this->turns->drop();
        $this->closeFile();
        foreach ($this->folder->files() as $number) {
            HostCache::forget($this->folder->file($number));
        }

        return $this->card->forgetBelow();
    }

    public function close(): void
    {
        $this->turns->end();
        $this->closeFile();
        $this->folder->remove();
        $this->card->letGo();
    }

    /** @throws HostError */
    private function file(int $number, bool $make = true): OpenFile
    {
        if ($this->open === null || $this->number !== $number) {
            $this->closeFile();
            $this->open = OpenFile::at($this->folder->file($number), Calls::READ_WRITE | ($make ? Calls::CREATE : 0));
            [$this->number, $this->pushed] = [$number, 0];
            if ($make && ! isset($this->reserved[$number]) && ! $this->card->mount->isInMemory()) {
                $this->open->reserve(min($this->perFile, $this->size->count - $number * $this->perFile));
                $this->reserved[$number] = true;
            }
        }

        return $this->open;
    }

    /** Every few blocks, have the kernel begin to write. */
    private function pushOut(OpenFile $file, int $upTo): void
    {
        if ($upTo - $this->pushed >= 8 * TestPattern::BLOCK && ! $this->card->mount->isInMemory()) {
            $file->startWriting($this->pushed, $upTo - $this->pushed);
            $this->pushed = $upTo;
        }
    }

    /** Every few blocks, have the kernel fetch the next ones. */
    private function fetchAhead(OpenFile $file, int $from): void
    {
        if ($from < $this->pushed - self::AHEAD || $from >= $this->pushed) {
            $this->pushed = $from;
        }
        if ($this->pushed - $from <= self::AHEAD / 2) {
            $file->startReading($this->pushed, self::AHEAD);
            $this->pushed += self::AHEAD;
        }
    }

    private function closeFile(): void
    {
        $this->open?->close();
        [$this->open, $this->number] = [null, -1];
    }
}
