<?php

declare(strict_types=1);

namespace App\Pages\Compare;

/** The run that would settle most. */
final readonly class NextRunProps
{
    public function __construct(public string $card, public string $reader, public string $why) {}
}
