<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Tally\Buying\NotAPrice;
use Tally\Buying\Price;

/** A currency by its three letters. */
final readonly class CurrencyCode implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        try {
            Price::currency(is_scalar($value) ? (string) $value : '');
        } catch (NotAPrice $fault) {
            $fail($fault->getMessage());
        }
    }
}
