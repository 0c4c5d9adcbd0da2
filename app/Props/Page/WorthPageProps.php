<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Label\ChoiceProps;
use App\Props\Report\PurchaseProps;

/** Was it worth it? */
final readonly class WorthPageProps implements PageProps
{
    /**
     * @param  list<PurchaseProps>  $purchases  the newest first
     * @param  list<ChoiceProps>  $kit
     */
    public function __construct(public array $purchases, public array $kit, public string $today, public string $person) {}
}
