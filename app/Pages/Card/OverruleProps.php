<?php

declare(strict_types=1);

namespace App\Pages\Card;

use Tally\Verdict\VerdictKind;

/** What a person says of the card instead, and why. */
final readonly class OverruleProps
{
    public function __construct(public VerdictKind $verdict, public string $reason, public string $by, public string $on) {}
}
