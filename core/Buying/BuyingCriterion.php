<?php

declare(strict_types=1);

namespace Tally\Buying;

/** By what a house chooses what it buys: handbook § 9. */
enum BuyingCriterion: string
{
    case Cheapest = 'cheapest';
    case Value = 'value';
    case Guaranteed = 'guaranteed';

    public function label(): string
    {
        return match ($this) {
            self::Cheapest => 'cheapest that passes',
            self::Value => 'best value',
            self::Guaranteed => 'guaranteed only',
        };
    }
}
