<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Chain\Path;
use Tally\Quantity\Rate;

/**
 * How a measured speed stands to the one on the label. House rule: from 90 % near, from 75 % under, below well short,
 * above 110 % more than it says.
 */
enum Standing: string
{
    case Above = 'above';
    case Near = 'near';
    case Under = 'under';
    case WellShort = 'well-short';
    case NotJudgedHere = 'not-judged-here';

    public static function of(Rate $measured, Rate $claim, Path $path): self
    {
        $share = $measured->over($claim);

        // A link that gives less than the claim cannot show a card to be slow; a speed that was reached was reached.
        return match (true) {
            $share > 1.10 => self::Above,
            $share >= 0.90 => self::Near,
            ! $path->couldShow($claim) => self::NotJudgedHere,
            $share >= 0.75 => self::Under,
            default => self::WellShort,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Above => 'above the label: check the units, or a cache helped',
            self::Near => 'near the label',
            self::Under => 'under the label',
            self::WellShort => 'well short of the label',
            self::NotJudgedHere => 'not judged here',
        };
    }
}
