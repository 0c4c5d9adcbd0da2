<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** What a school says of a card and a mode. */
final readonly class SchoolWordProps
{
    public function __construct(public string $school, public bool $may, public string $words, public string $evidence) {}
}
