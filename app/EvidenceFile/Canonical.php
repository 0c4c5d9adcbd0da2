<?php

declare(strict_types=1);

namespace App\EvidenceFile;

/** One way of writing a result down, so that the same result always has the same hash. */
final readonly class Canonical
{
    private const FLAGS = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;

    /** @param  array<mixed>  $value */
    public static function json(array $value): string
    {
        return json_encode(self::ordered($value), self::FLAGS);
    }

    /**
     * SHA-256, in hexadecimal. Source: NIST FIPS 180-4.
     *
     * @param  array<mixed>  $value
     */
    public static function hash(array $value): string
    {
        return hash('sha256', self::json($value));
    }

    /** Keys in order, at every depth; lists stay as they are. */
    private static function ordered(mixed $value): mixed
    {
        if (! is_array($value)) {
            return $value;
        }
        if (! array_is_list($value)) {
            ksort($value, SORT_STRING);
        }

        return array_map(self::ordered(...), $value);
    }
}
