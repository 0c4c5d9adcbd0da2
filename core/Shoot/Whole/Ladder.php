<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Label\Mark;
use Tally\Quantity\Rate;
use Tally\Shoot\Ability;

/** The steps by which cards are better than each other: the floors that marks promise. Source of the floors: see Mark. */
final readonly class Ladder
{
    private const STEPS = [Mark::V6, Mark::V10, Mark::V30, Mark::V60, Mark::V90, Mark::E150, Mark::E300, Mark::E450, Mark::E600];

    /** Steps that a card stands above what a place asks; 0 where it stands no higher. */
    public static function above(Ability $card, Rate $need): int
    {
        $strength = $card->lowest()->rate ?? $card->label->topMark()?->floor() ?? $need;

        $under = count(array_filter(self::STEPS, fn (Mark $mark): bool => $mark->floor()->isBelow($need)));

        // The first step that is not under the need is the least that will do.
        return max(0, self::step($strength) - $under - 1);
    }

    /** Steps that a rate reaches. */
    public static function step(Rate $rate): int
    {
        return count(array_filter(self::STEPS, fn (Mark $mark): bool => ! $rate->isBelow($mark->floor())));
    }
}
