<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** Something that can hurt a person or lose footage. */
final readonly class CautionProps
{
    public function __construct(public string $lead, public string $rest) {}
}
