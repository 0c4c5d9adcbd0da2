<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Label\Mark;
use Tally\Quantity\Rate;
use Tally\Shoot\Ability;

/** The steps by which cards are better than each other: the floors that marks promise. Source of the floors: see Mark. */
final readonly class Ladder
{
    /** Steps that a card stands above what a place asks; 0 where it stands no higher. */
    public static function above(Ability $card, Rate $need): int
    {
        $strength = $card->lowest()->rate ?? $card->label->topMark()?->floor() ?? $need;

        $under = count(array_filter(self::steps(), fn (Mark $mark): bool => $mark->floor()->isBelow($need)));

        // The first step that is not under the need is the least that will do.
        return max(0, self::step($strength) - $under - 1);
    }

    /** @return list<Mark> */
    private static function steps(): array
    {
        return array_values(array_filter(Mark::sold(), fn (Mark $mark): bool => $mark->isSecureDigital()));
    }

    /** Steps that a rate reaches. */
    public static function step(Rate $rate): int
    {
        return count(array_filter(self::steps(), fn (Mark $mark): bool => ! $rate->isBelow($mark->floor())));
    }
}
