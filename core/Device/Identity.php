<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Host\RealPath;
use Tally\Device\Raw\Kernel;
use Tally\Device\Raw\Target;
use Tally\Quantity\Bytes;
use Tally\Value\Values;

/**
 * What lies at a place just now: not its path, but the medium itself, as the kernel tells it. A run is ordered for one medium,
 * and begins only on that one.
 */
final readonly class Identity
{
    /**
     * @param  string  $real  where the path led
     * @param  string  $numbers  of the device, or of the file system's: `8:16`
     * @param  int  $file  number of the file or folder within it; 0 for a device
     * @param  int|null  $sequence  counts up with every medium that is put in, where the kernel counts
     * @param  string|null  $serial  the medium's own, where it tells one
     * @param  string|null  $name  by which the host's device manager knows the device or its reader
     * @param  string|null  $source  of a file system: the device behind it, or a name
     * @param  string|null  $volume  by which its file system knows itself, where somebody could look
     */
    private function __construct(
        public IdentityKind $kind,
        public string $real = '',
        public string $numbers = '',
        public int $file = 0,
        public Bytes $bytes = new Bytes(0),
        public ?int $sequence = null,
        public ?string $serial = null,
        public ?string $name = null,
        public ?string $source = null,
        public ?string $volume = null,
    ) {}

    /** Of an open device or image. */
    public static function ofTarget(Target $target, Bytes $bytes, Kernel $kernel = new Kernel()): self
    {
        if (! $target->isBlock) {
            return new self(IdentityKind::Image, $target->path, Target::split($target->device), $target->inode, bytes: $bytes);
        }
        $numbers = $target->numbers();

        return new self(
            IdentityKind::Device,
            $target->path,
            $numbers,
            0,
            bytes: $bytes,
            sequence: $kernel->sequence($numbers),
            serial: $kernel->serialOfMedium($numbers),
            name: $kernel->byId($numbers),
        );
    }

    /** @param  array<int|string, int>  $stat  of the folder, as stat() */
    public static function ofMount(Mount $mount, Bytes $bytes, string $real, array $stat, Kernel $kernel = new Kernel()): self
    {
        return new self(
            $mount->beginsAt($real) ? IdentityKind::Mount : IdentityKind::Folder,
            $real,
            $mount->numbers,
            $stat['ino'] ?? 0,
            bytes: $bytes,
            sequence: $kernel->sequence($mount->numbers),
            serial: $kernel->serialOfMedium($mount->numbers),
            name: $kernel->byId($mount->numbers),
            source: $mount->source,
            volume: $kernel->volume($mount->source),
        );
    }

    /** What lies at a path, without opening it; null where nothing does. */
    public static function at(string $path, Kernel $kernel = new Kernel()): ?self
    {
        $real = RealPath::of($path);
        $target = $real === null ? null : Target::at($real);
        if ($real === null || $target === null) {
            return null;
        }
        if ($target->isFolder) {
            $mount = Mount::of($real);
            $total = @disk_total_space($real);

            return self::ofMount($mount, Bytes::of($total === false ? 0 : (int) $total), $real, ['ino' => $target->inode], kernel: $kernel);
        }
        if (! $target->isBlock && ! $target->isRegular) {
            return null;
        }
        clearstatcache();

        return self::ofTarget($target, Bytes::of($target->isBlock ? $kernel->size($target->numbers()) : (int) @filesize($real)), $kernel);
    }

    /** Whether it is a medium of its own, and no folder of the host's disk. */
    public function isOfItsOwn(): bool
    {
        return $this->kind !== IdentityKind::Folder;
    }

    public function isSameAs(self $other): bool
    {
        return $this->difference($other) === null;
    }

    /** @return string|null how another differs, for people; null when it is the same medium */
    public function difference(self $now): ?string
    {
        return match (true) {
            $this->kind !== $now->kind => "it was {$this->kind->value}, and is {$now->kind->value} now",
            $this->numbers !== $now->numbers => "it led to {$this->called()}, and leads to {$now->called()} now",
            $this->serial !== $now->serial => 'its serial number was '.
                ($this->serial ?? 'none').
                ', and is '.
                ($now->serial ?? 'none').
                ' now',
            $this->bytes->count !== $now->bytes->count => "it had {$this->bytes->decimal()}, and has {$now->bytes->decimal()} now",
            $this->sequence !== $now->sequence => 'the card was taken out, or another put in, since then',
            $this->file !== $now->file => 'it is another file or file system by now, though of the same place and size',
            $this->source !== $now->source => 'it lay on '.
                ($this->source ?? 'nothing named').
                ', and lies on '.
                ($now->source ?? 'nothing named').
                ' now',
            $this->isAnotherVolumeThan($now) => 'another file system lies there now',
            default => null,
        };
    }

    /** Whether their file systems, or the media themselves, say that they are two; a process that may not look says nothing. */
    public function isAnotherVolumeThan(self $now): bool
    {
        $differs = fn (?string $then, ?string $now): bool => $then !== null && $now !== null && $then !== $now;

        return $differs($this->volume, $now->volume) || $differs($this->serial, $now->serial);
    }

    /** Whether both are at one place, be it by two paths or after the card was changed. */
    public function isAtTheSamePlaceAs(self $other): bool
    {
        return $this->numbers === $other->numbers && $this->file === $other->file;
    }

    /** @return string short, for a page to send back what it showed */
    public function token(): string
    {
        return substr(hash('sha256', json_encode([...Values::write($this), 'volume' => null], JSON_THROW_ON_ERROR)), 0, 16);
    }

    /** @return string `/dev/sdb (8:16)` */
    public function called(): string
    {
        return ($this->source ?? $this->real)." ({$this->numbers})";
    }
}
