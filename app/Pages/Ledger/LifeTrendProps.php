<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** The line through the figures of a card. */
final readonly class LifeTrendProps
{
    /**
     * @param  float  $from  MB/s on the day of the first figure
     * @param  float  $to  and of the last
     * @param  bool  $isTold  whether it is more than noise
     * @param  string  $words  such as `loses 2.3 MB/s a month`
     */
    public function __construct(
        public float $begins,
        public float $ends,
        public float $from,
        public float $to,
        public bool $isTold,
        public string $words,
    ) {}
}
