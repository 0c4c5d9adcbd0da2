<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** A model that can be bought. */
final readonly class OfferProps
{
    /**
     * @param  string  $key  by which it is told from others
     * @param  string  $line  its label in a few words
     * @param  string  $price  such as `21.00 EUR, 14 Oct 2026`
     * @param  float  $perGigabyte  units of the currency
     * @param  string  $perTerabyte  such as `164 EUR`
     * @param  string  $perSpeed  for each MB/s kept up; empty where nothing was measured
     * @param  float|null  $keepsUp  MB/s, the worst of those tested here; null where none was
     * @param  float|null  $promises  MB/s of its best mark
     * @param  string  $tested  such as `3 of 5`
     * @param  string  $failed  such as `1 of 5, 4 to 62 %`; empty where none did
     * @param  string  $reader  what its reader costs more; or that it needs one; empty where the house has one
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $seller,
        public string $line,
        public string $price,
        public float $perGigabyte,
        public string $perTerabyte,
        public string $perSpeed,
        public ?float $keepsUp,
        public ?float $promises,
        public string $tested,
        public string $failed,
        public string $reader,
        public bool $passes,
        public bool $isOnFrontier,
    ) {}
}
