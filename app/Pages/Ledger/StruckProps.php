<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

use Tally\Verdict\VerdictKind;

/** A card that was struck out, and why. */
final readonly class StruckProps
{
    public function __construct(public string $tag, public string $name, public VerdictKind $verdict, public string $why) {}
}
