<?php

declare(strict_types=1);

namespace Tally\Device\Raw;

use Tally\Device\Addressed;
use Tally\Device\DeviceFacts;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\HostErrorMapper;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;
use Tally\Device\Identity;
use Tally\Device\Mount;
use Tally\Device\Turns\Turns;
use Tally\Pattern\Data;
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;

/**
 * A whole medium without its file system: a block device or an image file. Everything on it is lost.
 *
 * What is written goes to the device that was open when it was checked, whatever its path leads to later; and the path is
 * looked at again before every stretch, so that a card that was taken out and another put in ends the run.
 */
final class RawDevice implements Addressed
{
    private const STRETCH = TestPattern::BLOCK;

    private readonly Turns $turns;

    private function __construct(
        private readonly DirectFile $file,
        private readonly Target $target,
        private readonly string $given,
        private readonly Bytes $size,
        private readonly bool $isInMemory,
    ) {
        $this->turns = Turns::over($size->count);
    }

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
        $device = new self($file, $target, $path, $size, isInMemory: $isInMemory);
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
            ? 'past the host’s cache'
            : 'through the host’s cache, which is dropped before reading';
    }

    public function write(int $offset, Data $data): void
    {
        $this->mustBeThere();
        try {
            $this->turns->write($this->file, 0, $offset, $data);
        } catch (HostError $error) {
            throw HostErrorMapper::writing($error, $offset, $this->given, $this->isThere());
        }
    }

    public function read(int $offset, int $length): Data
    {
        $this->mustBeThere();
        try {
            $data = $this->turns->read($this->file, 0, $offset, $length);
            if ($data->length() < $length) {
                throw new HostError(HostError::EIO, 'read', $this->given, $data->length());
            }
        } catch (HostError $error) {
            throw HostErrorMapper::reading($error, $offset, $length, $this->given, isThere: $this->isThere());
        }

        return $data;
    }

    public function settle(): void
    {
        try {
            $this->file->settle();
        } catch (HostError $error) {
            $this->mustBeThere();
            throw HostErrorMapper::settling($error, 0, $this->given, true);
        }
    }

    public function forget(): bool
    {
        $this->turns->drop();
        $this->file->forget();

        return ! $this->isInMemory;
    }

    public function facts(): DeviceFacts
    {
        return new DeviceFacts($this->identity(), manner: $this->manner());
    }

    public function close(): void
    {
        $this->turns->end();
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
}
