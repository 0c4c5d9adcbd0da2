<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** One of the two ways of proving a card, in words. */
final readonly class ProvingWayProps
{
    public function __construct(public string $expected, public string $writes, public string $proves, public string $leaves) {}
}
