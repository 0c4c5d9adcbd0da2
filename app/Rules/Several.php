<?php

declare(strict_types=1);

namespace App\Rules;

use BackedEnum;
use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * Some of a list, as their keys.
 *
 * @template T of BackedEnum
 */
final readonly class Several implements ValidationRule
{
    /**
     * @param  class-string<T>  $kind
     * @param  string  $what  one of them, such as “The bus”
     */
    public function __construct(private string $kind, private string $what) {}

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        foreach (is_array($value) ? $value : [null] as $one) {
            if (! is_string($one) || $this->kind::tryFrom($one) === null) {
                $given = is_string($one) ? mb_substr($one, 0, 30) : '';
                $fail("{$this->what} “{$given}” is not one of the list. Tick the ones it has.");
            }
        }
    }
}
