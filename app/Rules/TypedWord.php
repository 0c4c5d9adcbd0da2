<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A figure, a day or a word of a list, as somebody typed it: readable text of a few characters that must mean something. */
abstract readonly class TypedWord implements ValidationRule
{
    /** Characters. */
    private const MOST = 40;

    final public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $typed = is_scalar($value) ? trim((string) $value) : null;
        $complaint = match (true) {
            $typed === null => 'Text was expected here.',
            ! mb_check_encoding($typed, 'UTF-8') => 'This is not readable text. Save the table as UTF-8, or type it again.',
            mb_strlen($typed) > self::MOST => '“'.mb_substr($typed, 0, self::MOST).'…” is too long to be one figure or word. Shorten it.',
            default => $this->complaint($typed),
        };
        if ($complaint !== null) {
            $fail($complaint);
        }
    }

    /** @return string|null what is wrong with it and what would do; null when nothing is */
    abstract protected function complaint(string $typed): ?string;
}
