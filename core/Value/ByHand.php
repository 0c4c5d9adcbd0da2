<?php

declare(strict_types=1);

namespace Tally\Value;

use Attribute;

/** People write it: a field that looks like a misspelt one is named, and not passed over in silence. */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class ByHand
{
    /** So many letters apart is a slip of the pen. */
    private const NEAR = 2;

    /**
     * @param  list<string>  $known
     * @return string|null which one may be meant
     */
    public static function meant(string $given, array $known): ?string
    {
        foreach (in_array($given, $known, true) ? [] : $known as $one) {
            if (levenshtein(strtolower($given), $one) <= self::NEAR) {
                return $one;
            }
        }

        return null;
    }
}
