<?php

declare(strict_types=1);

namespace Tally\Reading\Compare;

use Tally\Reading\StudentT;
use Tally\Reading\Summary;

/**
 * Whether two cards are as fast as one another within five parts in a hundred: two one-sided tests on the logarithms of
 * their speeds, each at 5 %.
 *
 * Source: Schuirmann 1987 (two one-sided tests); the margin is common practice, no source.
 */
final readonly class Twins
{
    public const MARGIN = 0.05;

    /** Of each card, at the least: handbook § 6 rule 9. */
    private const READINGS = 3;

    /**
     * @param  list<float>  $first  speeds of one way on one chain
     * @param  list<float>  $second  the same of the other card
     */
    public static function areEquivalent(array $first, array $second): bool
    {
        if (min(count($first), count($second)) < self::READINGS) {
            return false; // fewer are a look, which proves no equality
        }
        [$a, $b] = [Summary::of(array_map(log(...), $first)), Summary::of(array_map(log(...), $second))];
        [$va, $vb] = [($a->deviation ?? 0.0) ** 2 / $a->count, ($b->deviation ?? 0.0) ** 2 / $b->count];
        $difference = $b->mean - $a->mean;
        if ($va + $vb <= 0) {
            return abs($difference) < log(1 + self::MARGIN);
        }
        $freedom = ($va + $vb) ** 2 / ($va ** 2 / ($a->count - 1) + $vb ** 2 / ($b->count - 1));
        $margin = StudentT::quantile(0.95, $freedom) * sqrt($va + $vb);

        return $difference - $margin > -log(1 + self::MARGIN) && $difference + $margin < log(1 + self::MARGIN);
    }
}
