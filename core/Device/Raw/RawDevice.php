<?php

declare(strict_types=1);

namespace Tally\Device\Raw;

use Tally\Device\Addressed;
use Tally\Device\Data;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Literal;
use Tally\Device\Mount;
use Tally\Pattern\Imprint;
use Tally\Quantity\Bytes;

/**
 * A whole medium without its file system: a block device or an image file. Everything on it is lost.
 *
 * What is written goes to the device that was open when it was checked, whatever its path leads to later; and the path is
 * looked at again before every stretch, so that a card that was taken out and another put in ends the run.
 */
final class RawDevice implements Addressed
{
    private const STRETCH = Imprint::BLOCK;

    /** No such device, no medium, not connected, shut down. Source: errno(3). */
    private const GONE = [6, 19, 107, 108, 123];

    private const FULL = [28, 122];

    /** @var array{int, int}|null offset and length that are on their way to the medium */
    private ?array $writing = null;

    /** @var array{int, int}|null offset and length that are being fetched ahead */
    private ?array $fetching = null;

    private int $lastRead = -1;

    private function __construct(
        private readonly DirectFile $file,
        private readonly Target $target,
        private readonly string $given,
        private readonly Bytes $size,
        private readonly bool $isInMemory,
    ) {}

    /**
     * @param  Guard  $guard  which media may be erased
     *
     * @throws UnusablePath with the reason it must not be erased
     */
    public static function open(string $path, Guard $guard): self
    {
        $real = str_contains($path, "\0") ? false : realpath($path);
        if ($real === false) {
            throw UnusablePath::noMedium($path);
        }
        $guard->admitPath($path, $real);
        $isInMemory = @filetype($real) === 'file' && Mount::of(dirname($real))->isInMemory();
        $file = DirectFile::open($real, ! $isInMemory);
        // From here on it is the open file that is asked, not the path.
        $target = Target::of($real, $file->stat() ?? []);
        if (! $file->lock()) {
            throw UnusablePath::inUse($path);
        }
        $size = Bytes::of(max(0, $file->size()));
        $guard->admit($path, $target, $size);
        if (! $target->isSameAs(Target::at($real))) {
            throw UnusablePath::turned($path);
        }

        return new self($file, $target, $path, $size, $isInMemory);
    }

    public function size(): Bytes
    {
        return $this->size;
    }

    public function stretch(): int
    {
        return self::STRETCH;
    }

    /** How it is read and written, in words. */
    public function manner(): string
    {
        return $this->file->isDirect
            ? 'past the host’s cache, a second core moving the bytes while the first makes and checks the pattern'
            : 'through the host’s cache, which is dropped before reading';
    }

    public function write(int $offset, Data $data): void
    {
        $this->dropFetched();
        $bytes = $data->bytes();
        $this->finishWriting();
        $this->mustBeThere();
        $this->file->beginWriting($offset, $bytes);
        $this->writing = [$offset, strlen($bytes)];
    }

    public function read(int $offset, int $length): Data
    {
        $this->finishWriting();
        $this->mustBeThere();
        if ($this->fetching !== [$offset, $length]) {
            $this->dropFetched();
            $this->file->beginReading($offset, $length);
        }
        $this->fetching = null;
        $bytes = $this->fetched($offset, $length);
        $next = min($length, $this->size->count - $offset - $length);
        if ($this->lastRead === $offset && $next > 0 && $this->file->isDirect) {
            $this->file->beginReading($offset + $length, $next);
            $this->fetching = [$offset + $length, $next];
        }
        $this->lastRead = $offset + $length;

        return new Literal($bytes);
    }

    public function settle(): void
    {
        $this->finishWriting();
        if (! $this->file->settle()) {
            $this->mustBeThere();
            throw CannotSettle::on($this->given, 'flushing failed');
        }
    }

    public function forget(): bool
    {
        $this->dropFetched();
        $this->lastRead = -1;
        $this->file->forget();

        return ! $this->isInMemory;
    }

    public function close(): void
    {
        $this->file->close();
    }

    /** @throws MediumGone when the path leads nowhere, or to another device */
    private function mustBeThere(): void
    {
        $now = Target::at($this->target->path);
        if (! $this->target->isSameAs($now)) {
            throw $now === null ? MediumGone::from($this->given) : MediumGone::turned($this->given);
        }
    }

    /** @throws CannotWrite|MediumGone for the stretch that was on its way, which is the one before */
    private function finishWriting(): void
    {
        if ($this->writing === null) {
            return;
        }
        [$offset, $length] = $this->writing;
        $this->writing = null;
        [$moved, $error] = $this->file->await();
        if ($error === DirectFile::NOT_ALIGNED) {
            // This file system takes larger pieces only; the host's cache in between makes them.
            $this->file->beginWriting($offset, $this->file->bytes($length), aligned: false);
            [$moved, $error] = $this->file->await();
        }
        if ($error !== 0 || $moved < $length) {
            throw $this->fault($error, CannotWrite::at($offset, $this->given, "error {$error} of the host after {$moved} bytes", $length), $offset + $moved);
        }
    }

    /** @throws CannotRead|MediumGone */
    private function fetched(int $offset, int $length): string
    {
        [$moved, $error] = $this->file->await();
        if ($error === DirectFile::NOT_ALIGNED) {
            $this->file->beginReading($offset, $length, aligned: false);
            [$moved, $error] = $this->file->await();
        }
        if ($error !== 0 || $moved < $length) {
            throw $this->fault($error, CannotRead::at($offset, $length, $this->given, $error === 0 ? "only {$moved} bytes came" : "error {$error} of the host"), $offset);
        }

        return $this->file->bytes($length);
    }

    private function dropFetched(): void
    {
        if ($this->fetching !== null) {
            $this->fetching = null;
            $this->file->await();
        }
    }

    private function fault(int $error, CannotRead|CannotWrite $fault, int $at): DeviceFault
    {
        return match (true) {
            in_array($error, self::GONE, true) || Target::at($this->target->path) === null => MediumGone::from($this->given),
            in_array($error, self::FULL, true) => CannotWrite::full($at, $this->given),
            default => $fault,
        };
    }
}
