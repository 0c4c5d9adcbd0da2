<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Pages\Page;

/** All that the page Typed shows. */
final readonly class TypedPage extends Page
{
    public function __construct(
        public CardProps $card,
        public ChainChoicesProps $chain,
        public string $today,
        public string $person,
        public MarginProps $margin,
    ) {}
}
