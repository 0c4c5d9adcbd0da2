<?php

declare(strict_types=1);

namespace Tally\Offload\Written;

use Tally\Offload\Question\Drive;
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
            spinning: $drive->isSpinning,
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
            isSpinning: $this->spinning,
            inside: $this->inside,
            link: $this->link,
        );
    }
}
