<?php

declare(strict_types=1);

namespace App\Pages\House;

/** How fast a card went in a reader. MB/s. */
final readonly class SightingProps
{
    public function __construct(
        public string $card,
        public string $run,
        public ?float $write,
        public ?float $read,
        public string $region,
    ) {}
}
