<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

/** Where cards go, and which. */
final readonly class PackedPlaceProps
{
    /**
     * @param  string  $name  such as `C1 4K 60`
     * @param  string  $needs  such as `99 min`
     * @param  string  $has  the same of its cards together
     * @param  string  $misses  such as `33 min`; empty where nothing is missing
     * @param  list<PackedCardProps>  $cards  in the order they are used
     */
    public function __construct(
        public string $name,
        public bool $isSpare,
        public string $needs,
        public string $has,
        public string $misses,
        public array $cards,
    ) {}
}
