<?php

declare(strict_types=1);

namespace Tally\Offload\Written;

use Tally\Offload\Question\Drive;
use Tally\Offload\Question\DriveKind;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Value\In;

/** A drive that copies go to, as it is written down. */
final readonly class WrittenDrive
{
    /**
     * @param  float  $write  bytes a second, steady
     * @param  float  $read  bytes a second
     * @param  float  $free  bytes; INF for endless
     * @param  float|null  $cache  bytes that it takes fast before
     * @param  float|null  $fast  bytes a second while they last; null for no faster
     * @param  DriveKind|null  $kind  null for solid, or spinning where that is said
     * @param  string|null  $inside  the host that it is built into
     * @param  float  $link  bytes a second each way of its own link
     */
    public function __construct(
        public string $name,
        #[In(Rate::class)]
        public float $write,
        #[In(Rate::class)]
        public float $read,
        #[In(Bytes::class)]
        public float $free = INF,
        #[In(Bytes::class)]
        public ?float $cache = null,
        #[In(Rate::class)]
        public ?float $fast = null,
        public bool $spinning = false,
        public ?DriveKind $kind = null,
        public ?string $inside = null,
        #[In(Rate::class)]
        public float $link = INF,
    ) {}

    public static function of(Drive $drive): self
    {
        $hasCache = (int) $drive->cache > 0;

        return new self(
            name: $drive->name,
            write: $drive->write,
            read: $drive->read,
            free: $drive->free === INF ? INF : floor($drive->free),
            cache: $hasCache ? floor($drive->cache) : null,
            fast: $hasCache ? $drive->fast : null,
            spinning: $drive->kind === DriveKind::Spinning,
            kind: $drive->kind === DriveKind::Network ? $drive->kind : null,
            inside: $drive->inside,
            link: $drive->link,
        );
    }

    public function drive(): Drive
    {
        return new Drive(
            name: $this->name,
            write: $this->write,
            read: $this->read,
            free: $this->free,
            cache: $this->cache ?? 0.0,
            fast: $this->fast ?? $this->write,
            kind: $this->kind ?? DriveKind::of($this->spinning ? DriveKind::Spinning : DriveKind::Solid, ($this->cache ?? 0.0) > 0),
            inside: $this->inside,
            link: $this->link,
        );
    }
}
