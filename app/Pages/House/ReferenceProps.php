<?php

declare(strict_types=1);

namespace App\Pages\House;

/** What a gigabyte of one kind costs, with every quote as a point on the same axis. */
final readonly class ReferenceProps
{
    /**
     * @param  list<float>  $quotes  for a gigabyte, in the currency's own units
     * @param  list<ForSaleProps>  $cards  cards of the house that were bought at a price
     */
    public function __construct(
        public string $form,
        public string $tier,
        public string $currency,
        public float $median,
        public string $words,
        public array $quotes,
        public array $cards,
    ) {}
}
