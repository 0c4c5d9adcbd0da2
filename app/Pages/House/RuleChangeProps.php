<?php

declare(strict_types=1);

namespace App\Pages\House;

use Tally\Verdict\VerdictKind;

/** A card that would be judged otherwise. */
final readonly class RuleChangeProps
{
    public function __construct(public string $tag, public VerdictKind $from, public VerdictKind $to) {}
}
