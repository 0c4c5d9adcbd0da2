<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;
use Tally\Device\Host\RealPath;
use Tally\Device\Raw\Kernel;
use Tally\Quantity\Bytes;

/**
 * A folder that is there and takes files, held open for as long as it is used, with the file system it lies on.
 *
 * All that is made in it is made by way of the open folder: when the card is pulled or unmounted meanwhile, its path leads to
 * the host's own disk, and the open folder does not.
 */
final readonly class HeldFolder
{
    /** As much more than its label says as a medium may have. */
    public const MARGIN = 1.07;

    /** Left free on the disk that the host runs from: bytes, and share of it. */
    private const HOSTS_ROOM = 10_000_000_000;

    private const HOSTS_SHARE = 20;

    private function __construct(
        public string $given,
        public string $path,
        public Mount $mount,
        private OpenFile $open,
        private Kernel $kernel,
        private bool $isOnDevice,
    ) {}

    /** @throws UnusablePath when it does not exist, is no folder, or cannot be written to */
    public static function at(string $given): self
    {
        if (RealPath::of($given) === null) {
            throw CannotOpen::missing($given);
        }
        try {
            $open = OpenFile::at($given, Calls::READ | Calls::DIRECTORY);
        } catch (HostError $error) {
            throw match ($error->errno) {
                HostError::ENOTDIR => CannotOpen::notAFolder($given),
                HostError::ENOENT => CannotOpen::missing($given),
                HostError::EACCES => CannotOpen::notWritable($given),
                default => CannotOpen::cannotOpen($given, $error->errno),
            };
        }
        $mount = Mount::ofOpen($open);
        if ($mount->readOnly || ! Calls::mayWrite($open->held())) {
            throw CannotOpen::notWritable($given);
        }

        $kernel = new Kernel();

        return new self($given, $open->real(), $mount, $open, kernel: $kernel, isOnDevice: $kernel->isPresent($mount->numbers));
    }

    /** @return string a path to something in the folder itself, wherever its own path leads by now */
    public function inside(string $name = ''): string
    {
        return $this->open->held().($name === '' ? '' : "/{$name}");
    }

    /** Whether it is a folder on the disk that this computer runs from, and no card. */
    public function isOnHostsDisk(): bool
    {
        return $this->mount->isHostsOwn();
    }

    /** What is written there at the most in place of a card: its size and a margin, and room is left on the disk. */
    public function atMost(Bytes $card): Bytes
    {
        return Bytes::of(min((int) (self::MARGIN * $card->count), $this->free(0)));
    }

    /** Bytes that are free, less a reserve: for the file system’s own books, and on the host’s disk for the host. */
    public function free(int $reserve): int
    {
        $free = @disk_free_space($this->open->held());

        $left = $this->isOnHostsDisk() ? min(self::HOSTS_ROOM, intdiv($this->total()->count, self::HOSTS_SHARE)) : 0;

        return max(0, ($free === false ? 0 : (int) $free) - max($reserve, $left));
    }

    public function total(): Bytes
    {
        $total = @disk_total_space($this->open->held());

        return Bytes::of($total === false ? 0 : (int) $total);
    }

    /** Whether its path still leads to it: not pulled, not unmounted, nothing else mounted there. */
    public function isThere(): bool
    {
        clearstatcache();
        $now = @stat($this->path);
        $held = $this->open->stat();

        // A card that was pulled keeps its folder in the host's memory for a while; its device is gone at once.
        return $now !== false &&
            $held !== [] &&
            ($held['nlink'] ?? 0) > 0 &&
            $now['dev'] === $held['dev'] &&
            $now['ino'] === $held['ino'] &&
            (! $this->isOnDevice || $this->kernel->isPresent($this->mount->numbers));
    }

    /** @throws MediumGone */
    public function mustBeThere(): void
    {
        if (! $this->isThere()) {
            clearstatcache();
            throw Mount::of($this->path)->beginsAt($this->path) ? MediumGone::unmounted($this->given) : MediumGone::from($this->given);
        }
    }

    /** Makes the host drop what it keeps below the file system, and of the file behind a loop device. */
    public function forgetBelow(): bool
    {
        return ! $this->mount->isInMemory() && (! $this->mount->hasCacheBelow() || HostCache::forgetDevice($this->mount->source));
    }

    public function identity(): Identity
    {
        return Identity::ofMount($this->mount, $this->total(), $this->path, $this->open->stat(), kernel: $this->kernel);
    }

    public function letGo(): void
    {
        $this->open->close();
    }
}
