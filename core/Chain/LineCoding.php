<?php

declare(strict_types=1);

namespace Tally\Chain;

use Tally\Quantity\Rate;

/**
 * How bits are packed on a serial link: what is left of the wire's rate for data.
 *
 * Source: PCI Express base specification (8b/10b, 128b/130b); USB 3.2 specification (8b/10b, 128b/132b).
 */
enum LineCoding: string
{
    case EightTen = '8b/10b';
    case OneThirty = '128b/130b';
    case OneThirtyTwo = '128b/132b';

    /** @param  float  $gigatransfers  GT/s or Gb/s on the wire, of one lane */
    public function payload(float $gigatransfers, int $lanes = 1): Rate
    {
        $efficiency = match ($this) {
            self::EightTen => 8 / 10,
            self::OneThirty => 128 / 130,
            self::OneThirtyTwo => 128 / 132,
        };

        return Rate::megabitsPerSecond($gigatransfers * 1000 * $efficiency * $lanes);
    }
}
