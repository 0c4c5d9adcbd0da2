<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** What a school would buy, in a sentence. */
final readonly class PickProps
{
    /** @param  string|null  $offer  key of its offer; null where nothing will do */
    public function __construct(public string $school, public ?string $offer, public string $sentence) {}
}
