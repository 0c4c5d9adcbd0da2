<?php

declare(strict_types=1);

namespace Tally\Label\Line;

use Closure;

/**
 * A number as it is printed on labels, where `3,650` and `3.650` are thousands to some and a fraction to others, and `2 256` may be one
 * number or two: what a card could have tells them apart. Where that allows both, nothing is taken. Handbook § 6 rule 13.
 */
final readonly class PrintedNumber
{
    /** One mark and three digits behind it may be either. */
    public const PATTERN = '\d{1,3}(?:[ ,.\'’]\d{3})+(?![\d.,])|\d{1,5}(?:[.,]\d{1,3})?';

    /**
     * @param  string|null  $number  digits with a point at the most; null where no reading could be, or more than one
     * @param  int  $from  where in the print that begins, in bytes: what stands before is another number
     * @param  string|null  $note  what is to be said of it
     */
    private function __construct(public ?string $number, public int $from = 0, public ?string $note = null) {}

    /**
     * @param  string  $before  what stands in front of it
     * @param  Closure(string): bool  $isPossible  whether a card could have so many: digits with a point at the most
     */
    public static function of(string $printed, string $before, Closure $isPossible): self
    {
        return match (true) {
            preg_match('/^\d{1,3}(?: \d{3})+$/', $printed) === 1 => self::spaced($printed, $before, $isPossible),
            preg_match('/^\d{1,3}[,.]\d{3}$/', $printed) === 1 => self::marked($printed, $isPossible),
            preg_match('/^\d{1,3}(?:[ ,.\'’]\d{3})+$/u', $printed) === 1 => new self((string) preg_replace('/\D/u', '', $printed)),
            default => new self(str_replace(',', '.', $printed)),
        };
    }

    /** @param  Closure(string): bool  $isPossible */
    private static function marked(string $printed, Closure $isPossible): self
    {
        $whole = (string) preg_replace('/\D/', '', $printed);
        $fraction = str_replace(',', '.', $printed);
        [$isWhole, $isFraction] = [$isPossible($whole), $isPossible($fraction)];

        return match (true) {
            // Nobody prints three noughts behind a point.
            $isWhole && $isFraction && ! str_ends_with($printed, '000') => new self(
                null,
                note: "“{$printed}” can be {$whole} or {$fraction} here: neither is taken.",
            ),
            $isWhole => new self($whole, note: "“{$printed}” is taken as {$whole}, which a card of this kind can have."),
            $isFraction => new self($fraction, note: "“{$printed}” is taken as {$fraction}: no card of this kind has {$whole}."),
            default => new self(null, note: "“{$printed}” is neither as thousands nor as a fraction what a card of this kind can have."),
        };
    }

    /**
     * A blank groups thousands only where the card could have so many; else it parts two numbers.
     *
     * @param  Closure(string): bool  $isPossible
     */
    private static function spaced(string $printed, string $before, Closure $isPossible): self
    {
        $whole = str_replace(' ', '', $printed);
        $last = substr((string) strrchr($printed, ' '), 1);
        $from = strlen($printed) - strlen($last);
        $isOne = $isPossible($whole);
        $isTwo = $last[0] !== '0' && $isPossible($last);
        // A word of a name takes the number behind it; a word of speed, or a mark, does not.
        $isName = preg_match('/\p{L}\s+$/u', $before) === 1;

        return match (true) {
            $isOne && $isTwo && $isName => new self(null, note: "“{$printed}” can be {$whole} or {$last} here: neither is taken."),
            $isOne && (! $isTwo || preg_match('/\d\s+$/', $before) !== 1) => new self($whole),
            $isTwo => new self($last, $from),
            default => new self(null, note: "“{$printed}” is nothing that a card of this kind can have."),
        };
    }

    /** Octets are bytes: `Go` → `GB`, `Mo/s` → `MB/s`; `M/s` → `MB/s`; `T` alone → `TB`. */
    public static function unit(string $printed): string
    {
        $unit = (string) preg_replace('/^([KMGT]i?)o(?![a-z])/i', '$1B', $printed);
        $unit = (string) preg_replace('~(?!ps)(?:'.Vocabulary::PER_SECOND.')$~iu', '/s', $unit);
        $unit = (string) preg_replace('~^([KMGT])(?=/s$)~i', '$1B', $unit);

        return strlen($unit) === 1 ? "{$unit}B" : $unit;
    }
}
