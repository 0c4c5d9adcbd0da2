<?php

declare(strict_types=1);

namespace Tally\Label\Line;

use Closure;

/**
 * A number as it is printed on labels, where `3,650` and `3.650` are thousands to some and a fraction to others: what the
 * card could be tells the two apart.
 */
final readonly class PrintedNumber
{
    /** One mark and three digits behind it may be either. */
    public const PATTERN = '\d{1,3}(?:[ ,.\'’]\d{3})+(?![\d.,])|\d{1,5}(?:[.,]\d{1,3})?';

    /**
     * @param  Closure(float): bool  $isPossible  whether a card could have so many
     * @return array{string|null, string|null} digits with a point at the most, null where neither reading could be; and what to
     *                                         say of it
     */
    public static function plain(string $printed, Closure $isPossible): array
    {
        $whole = (string) preg_replace('/[ ,.\'’]/u', '', $printed);
        if (preg_match('/^\d{1,3}[,.]\d{3}$/', $printed) !== 1) {
            $isGrouped = preg_match('/^\d{1,3}(?:[ ,.\'’]\d{3})+$/u', $printed) === 1;

            return [$isGrouped ? $whole : str_replace(',', '.', $printed), null];
        }
        $fraction = str_replace(',', '.', $printed);

        return match (true) {
            $isPossible((float) $whole) => [$whole, "“{$printed}” is taken as {$whole}, which a card of this kind can have."],
            $isPossible((float) $fraction) => [$fraction, "“{$printed}” is taken as {$fraction}: no card of this kind has {$whole}."],
            default => [null, "“{$printed}” is neither as thousands nor as a fraction what a card of this kind can have."],
        };
    }

    /** Octets are bytes: `Go` → `GB`, `Mo/s` → `MB/s`; `T` alone → `TB`. */
    public static function unit(string $printed): string
    {
        $unit = (string) preg_replace('/^([KMGT]i?)o(?![a-z])/i', '$1B', $printed);
        $unit = (string) preg_replace('~(?!ps)(?:'.Vocabulary::PER_SECOND.')$~iu', '/s', $unit);

        return strlen($unit) === 1 ? "{$unit}B" : $unit;
    }
}
