<?php

declare(strict_types=1);

namespace App\Rules;

use App\Intake\Day;
use Closure;
use DateTimeImmutable;
use Illuminate\Contracts\Validation\ValidationRule;

/** A calendar day as people write it, that is not still to come. */
final readonly class DayUpToToday implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $typed = is_scalar($value) ? trim((string) $value) : '';
        $day = Day::read($typed);
        if ($day === null) {
            $fail("“{$typed}” is not a day. Write it as 2026-11-25 or 25 Nov 2026.");
        } elseif ($day > new DateTimeImmutable('tomorrow')) {
            $fail("{$day->format('j M Y')} is still to come. Write a day up to today, such as 2026-11-25 or 25 Nov 2026.");
        }
    }
}
