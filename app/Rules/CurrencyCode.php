<?php

declare(strict_types=1);

namespace App\Rules;

use Tally\Buying\NotAPrice;
use Tally\Buying\Price;

/** A currency by its three letters. */
final readonly class CurrencyCode extends TypedWord
{
    protected function complaint(string $typed): ?string
    {
        try {
            Price::currency($typed);
        } catch (NotAPrice $fault) {
            return $fault->getMessage();
        }

        return null;
    }
}
