<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** What a card keeps up or promises, on the axis of the minutes sheet. */
final readonly class WallProps
{
    /** @param  float  $rate  MB/s */
    public function __construct(public string $name, public float $rate) {}
}
