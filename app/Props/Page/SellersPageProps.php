<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Ledger\SellerProps;

/** Whose cards, and which lots, were what. */
final readonly class SellersPageProps implements PageProps
{
    /**
     * @param  list<SellerProps>  $sellers  those first of whose cards most are surely bad
     * @param  list<SellerProps>  $lots
     */
    public function __construct(public array $sellers, public array $lots) {}
}
