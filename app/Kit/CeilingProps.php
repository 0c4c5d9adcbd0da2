<?php

declare(strict_types=1);

namespace App\Kit;

/** The most a link carries, and where each figure comes from. MB/s. */
final readonly class CeilingProps
{
    /**
     * @param  float|null  $least  what it gives in practice at the least
     * @param  float  $usable  what is planned with
     * @param  string  $origin  where that figure comes from
     * @param  bool  $isOwn  whether the house measured it itself
     */
    public function __construct(
        public string $link,
        public float $nominal,
        public ?float $least,
        public float $usable,
        public string $origin,
        public string $source,
        public bool $isOwn,
    ) {}
}
