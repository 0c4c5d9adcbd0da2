<?php

declare(strict_types=1);

namespace App\Rules;

use DateTimeImmutable;

/** A calendar day as people write it. */
final readonly class Day
{
    /** Slashes are only taken where day and month cannot be mistaken for one another; nothing is guessed. */
    public static function read(string $text): ?DateTimeImmutable
    {
        $day = trim($text);
        if (preg_match('#^(\d{1,2})/(\d{1,2})/(\d{4})$#', $day, $m) === 1) {
            [$first, $second] = [(int) $m[1], (int) $m[2]];
            $day = match (true) {
                $first > 12 || $first === $second => "{$m[3]}-{$second}-{$first}",
                $second > 12 => "{$m[3]}-{$first}-{$second}",
                default => '',
            };
        }
        foreach (['!Y-n-j', '!j.n.Y', '!j M Y', '!j F Y', '!Y-n-j H:i:s', '!Y-m-d\TH:i:s'] as $format) {
            $date = DateTimeImmutable::createFromFormat($format, $day);
            $warnings = DateTimeImmutable::getLastErrors();
            if (
                $date !== false &&
                ($warnings === false || $warnings['warning_count'] === 0) &&
                (int) $date->format('Y') >= 1990 &&
                (int) $date->format('Y') < 2200
            ) {
                return $date;
            }
        }

        return null;
    }
}
