<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** What a card could at best do in a reader of the house. */
final readonly class ReachProps
{
    /** @param  string|null  $rate  null when it does not work there */
    public function __construct(public string $reader, public ?string $rate, public string $why) {}
}
