<?php

declare(strict_types=1);

namespace App\Models\Casts;

use App\Models\Stations\Seen;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * What a station last saw in a slot.
 *
 * @implements CastsAttributes<Seen|null, Seen|null>
 */
final class AsSeen implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Seen
    {
        return is_string($value) ? Seen::unpack(Json::decode($value)) : null;
    }

    /** @return string|null JSON */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value instanceof Seen ? Json::of($value->pack()) : null;
    }
}
