<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Label\ChoiceProps;
use App\Props\Prices\QuoteProps;
use App\Props\Prices\ReferenceProps;

/** All that the page Prices shows. */
final readonly class PricesPageProps implements PageProps
{
    /**
     * @param  list<ReferenceProps>  $references
     * @param  list<QuoteProps>  $quotes
     * @param  list<ChoiceProps>  $forms
     * @param  list<ChoiceProps>  $tiers
     */
    public function __construct(
        public array $references,
        public array $quotes,
        public array $forms,
        public array $tiers,
        public string $today,
    ) {}
}
