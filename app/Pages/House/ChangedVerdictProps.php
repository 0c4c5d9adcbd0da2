<?php

declare(strict_types=1);

namespace App\Pages\House;

use Tally\Verdict\VerdictKind;

/** A card whose verdict was another one before. */
final readonly class ChangedVerdictProps
{
    public function __construct(public string $card, public ?VerdictKind $before, public ?VerdictKind $verdict, public string $why) {}
}
