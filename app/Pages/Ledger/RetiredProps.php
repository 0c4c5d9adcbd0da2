<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** That a card is out of service. */
final readonly class RetiredProps
{
    public function __construct(public string $on, public string $why, public string $by) {}
}
