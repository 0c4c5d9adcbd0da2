<?php

declare(strict_types=1);

namespace App\Rules;

/**
 * One of a list, chosen by a word that means it. Capitals, spaces, dots and hyphens do not count.
 *
 * @template-covariant T of \BackedEnum
 */
final readonly class Choice extends TypedWord
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

    protected function complaint(string $typed): ?string
    {
        return $this->meant($typed) === null ? "{$this->what} “{$typed}” is not one of the list. Choose one, or none." : null;
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
