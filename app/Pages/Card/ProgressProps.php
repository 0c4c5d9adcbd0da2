<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** How far a run has come. */
final readonly class ProgressProps
{
    /**
     * @param  float  $share  0 to 1
     * @param  float|null  $rate  bytes a second just now
     * @param  string|null  $left  time left, in words
     */
    public function __construct(
        public string $phase,
        public int $run,
        public int $at,
        public int $of,
        public float $share,
        public ?float $rate,
        public ?string $left,
    ) {}
}
