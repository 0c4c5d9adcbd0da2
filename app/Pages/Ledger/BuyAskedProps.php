<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** What cards are wanted for, as it was typed. */
final readonly class BuyAskedProps
{
    /**
     * @param  string  $mode  its key; empty for none
     * @param  string  $floor  such as `45 MB/s`
     * @param  string  $size  of each at the least, such as `128 GB`
     * @param  string  $reader  what a reader costs where the house has none
     */
    public function __construct(
        public string $mode,
        public string $floor,
        public string $size,
        public string $count,
        public string $reader,
    ) {}
}
