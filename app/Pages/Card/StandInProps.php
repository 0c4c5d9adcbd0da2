<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A made-up card that can be put into a stand-in slot. */
final readonly class StandInProps
{
    public function __construct(public string $key, public string $words) {}
}
