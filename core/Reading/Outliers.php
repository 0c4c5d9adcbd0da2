<?php

declare(strict_types=1);

namespace Tally\Reading;

/**
 * Readings that lie apart from the others. One of five is ringed and left out; more of them are ringed and counted.
 *
 * Source: NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.17 (modified z-scores of Iglewicz and Hoaglin, above 3.5).
 */
final readonly class Outliers
{
    private const APART = 3.5;

    /**
     * A twentieth of the median apart is no news, however alike the others are: of five readings a few often lie so. House rule.
     */
    private const NEWS = 0.05;

    /**
     * @param  list<float>  $values
     * @return list<int> their places, from 0; none among fewer than four
     */
    public static function among(array $values): array
    {
        if (count($values) < 4) {
            return [];
        }
        $median = Summary::of($values)->median;
        $off = array_map(fn (float $value): float => abs($value - $median), $values);
        $deviation = Summary::of($off)->median;
        // More than half of them equal: the mean deviation takes its place (Iglewicz and Hoaglin, from memory).
        $scale = $deviation > 0 ? $deviation / 0.6745 : 1.253314 * Summary::of($off)->mean;

        return array_keys(
            array_filter($off, fn (float $one): bool => $one > self::NEWS * abs($median) && $scale > 0 && $one / $scale > self::APART),
        );
    }
}
