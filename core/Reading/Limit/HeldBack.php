<?php

declare(strict_types=1);

namespace Tally\Reading\Limit;

use Tally\Reading\Summary;

/** Whether a chain rather than a card may have decided a speed: then it says nothing of what the card is. */
final readonly class HeldBack
{
    /** Nearer than this to what the chain gives, the chain may be the limit. House rule. */
    private const NEAR = 0.9;

    /**
     * Ruled so, or too near to what the chain gives while nothing is ruled.
     *
     * @param  list<float>  $rates  bytes a second
     * @param  float  $usable  bytes a second that the chain gives in practice
     */
    public static function is(array $rates, float $usable, ?LimitedBy $by): bool
    {
        return $by === LimitedBy::Reader || ($by !== LimitedBy::Card && $rates !== [] && Summary::of($rates)->mean > self::NEAR * $usable);
    }
}
