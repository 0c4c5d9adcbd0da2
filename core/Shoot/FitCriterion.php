<?php

declare(strict_types=1);

namespace Tally\Shoot;

/** By what a house decides whether a card may record a mode. Practitioners hold to one of the three: handbook § 7. */
enum FitCriterion: string
{
    case Mark = 'mark';
    case Measured = 'measured';
    case Guaranteed = 'guaranteed';

    public function label(): string
    {
        return match ($this) {
            self::Mark => 'By the mark',
            self::Measured => 'By measurement',
            self::Guaranteed => 'Guaranteed media only',
        };
    }
}
