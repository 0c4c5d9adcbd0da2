<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** What a card must never fall under. */
final readonly class LifeFloorProps
{
    /** @param  float  $rate  MB/s */
    public function __construct(public string $name, public float $rate) {}
}
