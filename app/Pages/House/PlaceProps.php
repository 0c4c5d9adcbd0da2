<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A reader or a port to choose. */
final readonly class PlaceProps
{
    public function __construct(public int $id, public string $label) {}
}
