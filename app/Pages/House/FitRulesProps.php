<?php

declare(strict_types=1);

namespace App\Pages\House;

/** What a card may record goes by these, as it is in its form. */
final readonly class FitRulesProps
{
    /** @param  string  $spare  margin, so many times */
    public function __construct(public string $school, public string $spare, public string $usable) {}
}
