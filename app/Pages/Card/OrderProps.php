<?php

declare(strict_types=1);

namespace App\Pages\Card;

/**
 * What can be ordered for a card, and where.
 *
 * @phpstan-import-type SimulatedProps from Orders
 */
final readonly class OrderProps
{
    /**
     * @param  list<SlotProps>  $slots  the best first
     * @param  int|null  $last  the slot of the card's last run
     * @param  list<SimulatedProps>  $shelf  empty when the card has its made-up medium already
     * @param  string|null  $unsecured  footage on it that a run in its folder might write over
     * @param  bool  $asksReinserted  whether it matters that the card was out since its last proof
     */
    public function __construct(
        public array $slots,
        public array $shelf,
        public ?int $last,
        public bool $asksReinserted,
        public ?string $unsecured,
    ) {}
}
