<?php

declare(strict_types=1);

namespace Tally\Reading;

use InvalidArgumentException;

/**
 * So many of so many, with the 95 % interval of what is behind it, so that one bad of one is not “all are bad”.
 *
 * Source: Wilson, Journal of the American Statistical Association 22 (1927), 209–212, without correction for continuity.
 */
final readonly class Proportion
{
    private const Z = 1.959963984540054;

    public float $low;

    public float $high;

    public function __construct(public int $count, public int $of)
    {
        if ($count < 0 || $of < 1 || $count > $of) {
            throw new InvalidArgumentException("{$count} of {$of} is no proportion.");
        }
        [$z, $p] = [self::Z ** 2, $count / $of];
        $middle = ($p + $z / (2 * $of)) / (1 + $z / $of);
        $half = (self::Z / (1 + $z / $of)) * sqrt(($p * (1 - $p)) / $of + $z / (4 * $of ** 2));
        $this->low = $count === 0 ? 0.0 : $middle - $half;
        $this->high = $count === $of ? 1.0 : $middle + $half;
    }

    public function share(): float
    {
        return $this->count / $this->of;
    }

    /** `3 of 5, 23 to 88 %` */
    public function words(): string
    {
        return "{$this->count} of {$this->of}, ".round(100 * $this->low).' to '.round(100 * $this->high).' %';
    }
}
