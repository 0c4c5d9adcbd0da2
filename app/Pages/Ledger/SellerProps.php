<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** What cards of a seller or of a lot were found to be. */
final readonly class SellerProps
{
    /**
     * @param  list<VerdictCountProps>  $counts
     * @param  string  $bad  struck out, with the interval of what is behind it, such as `2 of 5, 12 to 77 %`
     * @param  float  $low  of that interval, a share
     * @param  list<string>  $tags  of those that were struck out
     */
    public function __construct(
        public string $name,
        public int $cards,
        public array $counts,
        public string $bad,
        public float $low,
        public float $high,
        public array $tags,
    ) {}
}
