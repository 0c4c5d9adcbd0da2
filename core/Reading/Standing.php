<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Quantity\Rate;

/**
 * How a measured speed stands to the one on the label. House rule: from 90 % near, from 75 % under, below well short,
 * above 110 % more than it says. Nothing is rounded up: 89.6 % is not 90 %.
 */
enum Standing: string
{
    case Above = 'above';
    case Near = 'near';
    case Under = 'under';
    case WellShort = 'well-short';
    case NotJudgedHere = 'not-judged-here';

    /** A hair's breadth, for shares that have no exact binary form. */
    private const HAIR = 1e-9;

    /**
     * @param  callable(): bool  $isTheCards  whether a shortfall is the card's doing, and not its chain's: asked only where
     * there is one
     */
    public static function of(Rate $measured, Rate $claim, callable $isTheCards, Thresholds $by = new Thresholds()): self
    {
        $share = $measured->over($claim);

        // A speed that was reached was reached, whatever the chain.
        return match (true) {
            $share > $by->above + self::HAIR => self::Above,
            $share >= $by->near - self::HAIR => self::Near,
            ! $isTheCards() => self::NotJudgedHere,
            $share >= $by->short - self::HAIR => self::Under,
            default => self::WellShort,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Above => 'above the label: a label that asks little',
            self::Near => 'near the label',
            self::Under => 'under the label',
            self::WellShort => 'well short of the label',
            self::NotJudgedHere => 'not judged here',
        };
    }

    /** @return string `89 %`: the share of a claim, never rounded in the card's favour */
    public static function percent(Rate $measured, Rate $claim): string
    {
        return floor(100 * $measured->over($claim) + self::HAIR).' %';
    }
}
