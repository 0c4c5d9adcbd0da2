<?php

declare(strict_types=1);

namespace App\Rules;

use App\Models\When;
use DateTimeImmutable;

/** A calendar day as people write it, that is not still to come. */
final readonly class DayUpToToday extends TypedWord
{
    protected function complaint(string $typed): ?string
    {
        $day = Day::read($typed);

        return match (true) {
            $day === null => "“{$typed}” is not a day. Write it as 2026-11-25 or 25 Nov 2026.",
            $day > new DateTimeImmutable('tomorrow') => "{$day->format(When::DAY)} is still to come. ".
                'Write a day up to today, such as 2026-11-25 or 25 Nov 2026.',
            default => null,
        };
    }
}
