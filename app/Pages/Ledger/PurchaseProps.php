<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** A thing that was bought: what was expected, and what it really saved. */
final readonly class PurchaseProps
{
    /**
     * @param  string  $hoped  what was expected when it was bought
     * @param  string  $saved  what it saved since
     * @param  float  $share  of its price that it brought back; may be more than 1, or less than none
     * @param  string  $words  whether it was worth it, as far as can be told
     * @param  int  $open  plans that are still to be reckoned
     */
    public function __construct(
        public int $id,
        public string $tag,
        public string $name,
        public string $on,
        public string $price,
        public string $hoped,
        public string $saved,
        public float $share,
        public string $words,
        public int $open,
    ) {}
}
