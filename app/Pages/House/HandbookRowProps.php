<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A fact of the trade, as the core knows it. */
final readonly class HandbookRowProps
{
    /**
     * @param  string  $says  what it is
     * @param  string  $source  where it is from
     */
    public function __construct(public string $name, public string $says, public string $source) {}
}
