<?php

declare(strict_types=1);

namespace App\Rules;

use Tally\Buying\NotAPrice;
use Tally\Buying\Price;

/** A price as people type it; the complaint is the core's own sentence. */
final readonly class PriceText extends TypedWord
{
    /** @param  string  $currency  ISO 4217, where the price names none */
    public function __construct(private string $currency) {}

    protected function complaint(string $typed): ?string
    {
        try {
            Price::parse($typed, $this->currency);
        } catch (NotAPrice $fault) {
            return $fault->getMessage();
        }

        return null;
    }
}
