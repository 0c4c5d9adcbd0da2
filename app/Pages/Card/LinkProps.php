<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A link of a route. */
final readonly class LinkProps
{
    /** @param  float  $rate  MB/s it gives in practice */
    public function __construct(public string $name, public float $rate, public string $source, public bool $pinch) {}
}
