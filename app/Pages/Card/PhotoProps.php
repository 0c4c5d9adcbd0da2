<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A picture of one side of a card. */
final readonly class PhotoProps
{
    public function __construct(public string $side, public string $url, public int $width, public int $height) {}
}
