<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use InvalidArgumentException;
use Tally\Quantity\Rate;

/**
 * A column of bytes a second as a speed.
 *
 * @implements CastsAttributes<Rate, mixed>
 */
final readonly class AsRate implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Rate
    {
        return is_numeric($value) ? Rate::bytesPerSecond((float) $value) : null;
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?float
    {
        return match (true) {
            $value === null => null,
            is_int($value), is_float($value) => (float) $value,
            $value instanceof Rate => $value->bytesPerSecond,
            default => throw new InvalidArgumentException("“{$key}” is a speed: give a Rate, or bytes a second."),
        };
    }
}
