<?php

declare(strict_types=1);

namespace App\Pages\Compare;

/** A card of a group of twins. Speeds in MB/s. */
final readonly class TwinProps
{
    public function __construct(
        public string $tag,
        public string $name,
        public ?string $seller,
        public ?string $price,
        public ?string $backCode,
        public float $write,
        public float $read,
        public int $runs,
    ) {}
}
