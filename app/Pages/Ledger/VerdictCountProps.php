<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

use Tally\Verdict\VerdictKind;

/** How many cards have a verdict. */
final readonly class VerdictCountProps
{
    public function __construct(public VerdictKind $kind, public int $cards) {}
}
