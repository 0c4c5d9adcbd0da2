<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A card of the house and what a gigabyte of it cost. */
final readonly class ForSaleProps
{
    /** @param  string|null  $severity  of the finding that its price gives; null when it is in the ordinary */
    public function __construct(public string $tag, public float $perGigabyte, public ?string $severity) {}
}
