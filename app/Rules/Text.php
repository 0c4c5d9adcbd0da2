<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Readable text that is not too long. A bare number counts as the text of its digits. */
final readonly class Text implements ValidationRule
{
    private function __construct(private int $most, private string $tooLong) {}

    /** @param  string  $tooLong  what to say of a longer one, where more can be said than that it is */
    public static function upTo(int $most, string $tooLong = ''): self
    {
        return new self($most, $tooLong === '' ? "This is longer than it can be ({$most} characters). Shorten it." : $tooLong);
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        match (true) {
            ! is_scalar($value) => $fail('Text was expected here.'),
            ! mb_check_encoding((string) $value, 'UTF-8') => $fail(
                'This is not readable text. Save the table as UTF-8, or type it again.',
            ),
            mb_strlen((string) $value) > $this->most => $fail($this->tooLong),
            default => null,
        };
    }
}
