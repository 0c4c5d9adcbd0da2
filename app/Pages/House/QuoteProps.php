<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A price that somebody asked. */
final readonly class QuoteProps
{
    public function __construct(
        public int $id,
        public string $kind,
        public string $capacity,
        public string $price,
        public string $perGigabyte,
        public string $on,
        public string $source,
    ) {}
}
