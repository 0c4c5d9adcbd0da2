<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Parts of one thing, each of which has a name of its own; large and small letters are the same, as in the database. */
final readonly class DifferentNames implements ValidationRule
{
    /** @param  string  $sentence  what to say of two with one name */
    public function __construct(private string $sentence) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $names = [];
        foreach (is_array($value) ? $value : [] as $part) {
            $name = is_array($part) ? $part['name'] ?? '' : '';
            $names[] = is_scalar($name) ? mb_strtolower(trim((string) $name)) : '';
        }
        $names = array_filter($names, fn (string $name): bool => $name !== '');
        if (count(array_unique($names)) !== count($names)) {
            $fail($this->sentence);
        }
    }
}
