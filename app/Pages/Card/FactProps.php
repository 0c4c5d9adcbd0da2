<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** Something that is known of a run. */
final readonly class FactProps
{
    public function __construct(public string $label, public string $words) {}
}
