<?php

declare(strict_types=1);

namespace App\Shoot;

/** A burst that was logged. */
final readonly class BurstProps
{
    /**
     * @param  float  $perSecond  frames
     * @param  float  $lasts  seconds until it slowed
     * @param  float  $clear  seconds from then on
     * @param  float  $drain  MB/s
     */
    public function __construct(
        public int $id,
        public string $camera,
        public string $card,
        public int $frames,
        public string $frame,
        public float $perSecond,
        public float $lasts,
        public float $clear,
        public float $drain,
        public string $buffer,
        public string $by,
        public string $on,
    ) {}
}
