<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Tally\Buying\NotAPrice;
use Tally\Buying\Price;

/** A price as people type it; the complaint is the core's own sentence. */
final readonly class PriceText implements ValidationRule
{
    /** @param  string  $currency  ISO 4217, where the price names none */
    public function __construct(private string $currency) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            Price::parse(is_scalar($value) ? (string) $value : '', $this->currency);
        } catch (NotAPrice $fault) {
            $fail($fault->getMessage());
        }
    }
}
