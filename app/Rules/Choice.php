<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * One of a list, chosen by a word that means it. Capitals, spaces, dots and hyphens do not count.
 *
 * @template-covariant T of \BackedEnum
 */
final readonly class Choice implements ValidationRule
{
    /** @var array<string, T> plain word → what it means */
    private array $meanings;

    /**
     * @param  string  $what  what is chosen, such as “The bus”
     * @param  list<array{T, list<string>}>  $choices  each with the words that mean it; of two with one word the first is meant
     */
    public function __construct(private string $what, array $choices)
    {
        $meanings = [];
        foreach ($choices as [$choice, $words]) {
            foreach ($words as $word) {
                $meanings[self::plain($word)] ??= $choice;
            }
        }
        $this->meanings = $meanings;
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if ($this->meant($value) === null) {
            $given = is_scalar($value) ? mb_substr((string) $value, 0, 40) : '';
            $fail("{$this->what} “{$given}” is not one of the list. Choose one, or none.");
        }
    }

    /** @return T|null */
    public function meant(mixed $typed): mixed
    {
        return is_scalar($typed) ? $this->meanings[self::plain((string) $typed)] ?? null : null;
    }

    private static function plain(string $words): string
    {
        return mb_strtolower((string) preg_replace('/[\s.-]+/u', '', $words));
    }
}
