<?php

declare(strict_types=1);

namespace Tally\Device\Raw;

use Tally\Device\Addressed;
use Tally\Device\DeviceFacts;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\EndsRun;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\Told;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;
use Tally\Device\Identity;
use Tally\Device\Mount;
use Tally\Pattern\Data;
use Tally\Pattern\Imprint;
use Tally\Pattern\Literal;
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
        try {
            $seen = OpenFile::at($path, Calls::PATH);
        } catch (HostError $error) {
            throw in_array($error->errno, [HostError::ENOENT, HostError::ENOTDIR, HostError::EINVAL, HostError::ELOOP], true)
                ? CannotOpen::noMedium($path)
                : CannotOpen::cannotOpen($path, $error->errno);
        }
        // From here on it is what was seen that is asked and opened, wherever the path may lead a moment later.
        $target = Target::of($seen->real(), $seen->stat());
        $guard->admitPath($path, $target);
        $isInMemory = $target->isRegular && Mount::ofOpen($seen)->isInMemory();
        try {
            $file = DirectFile::open($seen, $target->isBlock, ! $isInMemory);
        } catch (HostError $error) {
            throw CannotOpen::cannotOpen($path, $error->errno);
        }
        $target = Target::of($target->path, $file->stat());
        if (! $file->lock()) {
            throw CannotOpen::inUse($path);
        }
        $size = Bytes::of(max(0, $file->size()));
        $guard->admit($path, $target, $size);
        $device = new self($file, $target, $path, $size, $isInMemory);
        if (! $device->isThere()) {
            throw CannotOpen::turned($path);
        }

        return $device;
    }

    /** What it is, asked of the open device. */
    public function identity(): Identity
    {
        return Identity::ofTarget($this->target, $this->size);
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
        try {
            $this->file->settle();
        } catch (HostError $error) {
            $this->mustBeThere();
            throw Told::settling($error, 0, $this->given, true);
        }
    }

    public function forget(): bool
    {
        $this->dropFetched();
        $this->lastRead = -1;
        $this->file->forget();

        return ! $this->isInMemory;
    }

    public function facts(): DeviceFacts
    {
        return new DeviceFacts($this->identity(), manner: $this->manner());
    }

    public function close(): void
    {
        $this->file->close();
    }

    /** What was written stays in either case: the whole medium is the run's. */
    public function leave(): void
    {
        $this->close();
    }

    /** Whether the path, as it was given, still leads to it; a link is followed anew each time. */
    private function isThere(): bool
    {
        return $this->target->isSameAs(Target::at($this->given));
    }

    /** @throws MediumGone when the path leads nowhere, or to another device */
    private function mustBeThere(): void
    {
        if (! $this->isThere()) {
            throw Target::at($this->given) === null ? MediumGone::from($this->given) : MediumGone::turned($this->given);
        }
    }

    /** @throws CannotWrite|EndsRun for the stretch that was on its way, which is the one before */
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
            throw Told::writing(
                new HostError($error === 0 ? HostError::EIO : $error, 'write', $this->given, $moved),
                $offset,
                $this->given,
                $this->isThere(),
                $length,
            );
        }
    }

    /** @throws CannotRead|EndsRun */
    private function fetched(int $offset, int $length): string
    {
        [$moved, $error] = $this->file->await();
        if ($error === DirectFile::NOT_ALIGNED) {
            $this->file->beginReading($offset, $length, aligned: false);
            [$moved, $error] = $this->file->await();
        }
        if ($error !== 0 || $moved < $length) {
            throw Told::reading(
                new HostError($error === 0 ? HostError::EIO : $error, 'read', $this->given, $moved),
                $offset,
                $length,
                $this->given,
                $this->isThere(),
            );
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
}
