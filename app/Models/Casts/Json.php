<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Tally\Record\Fields;

/** JSON as it lies in a column. */
final readonly class Json
{
    private const FLAGS = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;

    /** @param  array<mixed>  $value */
    public static function of(array $value): string
    {
        return json_encode($value, self::FLAGS);
    }

    /** @return array<mixed> empty where there is none */
    public static function decode(mixed $column): array
    {
        $value = is_string($column) ? json_decode($column, true) : null;

        return is_array($value) ? $value : [];
    }

    public static function fields(mixed $column, string $at): Fields
    {
        return new Fields(self::decode($column), $at);
    }
}
