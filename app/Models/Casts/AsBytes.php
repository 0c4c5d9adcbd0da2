<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use InvalidArgumentException;
use Tally\Quantity\Bytes;

/**
 * A column of bytes as a size.
 *
 * @implements CastsAttributes<Bytes, mixed>
 */
final readonly class AsBytes implements CastsAttributes
{
    /** @param  array<string, mixed>  $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Bytes
    {
        return is_numeric($value) ? Bytes::of((int) $value) : null;
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?int
    {
        return match (true) {
            $value === null || is_int($value) => $value,
            $value instanceof Bytes => $value->count,
            default => throw new InvalidArgumentException("“{$key}” is a size: give Bytes, or their count."),
        };
    }
}
