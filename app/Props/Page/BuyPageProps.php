<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Label\ChoiceProps;
use App\Props\Ledger\BuyAskedProps;
use App\Props\Ledger\OfferProps;
use App\Props\Ledger\PickProps;
use App\Props\Ledger\SpareProps;

/** What to buy for a need, from the house’s own evidence. */
final readonly class BuyPageProps implements PageProps
{
    /**
     * @param  list<ChoiceProps>  $modes
     * @param  float  $floor  MB/s that a card must never fall under; 0 for any
     * @param  string  $need  in words
     * @param  list<OfferProps>  $offers  tested here, the cheapest a gigabyte first
     * @param  list<OfferProps>  $labelOnly  that nobody here has tested
     * @param  list<string>  $struck  models that are struck out, and why
     * @param  list<PickProps>  $picks
     * @param  list<SpareProps>  $spares  of the shoots that are ahead
     */
    public function __construct(
        public BuyAskedProps $asked,
        public array $modes,
        public float $floor,
        public string $need,
        public string $currency,
        public array $offers,
        public array $labelOnly,
        public array $struck,
        public array $picks,
        public array $spares,
    ) {}
}
