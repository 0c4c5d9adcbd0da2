<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Pages\Page;

/**
 * All that the page Typed shows.
 *
 * @phpstan-import-type CardProps from CardHeading
 * @phpstan-import-type ChainChoicesProps from ChainChoices
 * @phpstan-import-type MarginProps from Margin
 */
final readonly class TypedPage extends Page
{
    /**
     * @param  CardProps  $card
     * @param  ChainChoicesProps  $chain
     * @param  MarginProps  $margin
     */
    public function __construct(
        public array $card,
        public array $chain,
        public string $today,
        public string $person,
        public array $margin,
    ) {}
}
