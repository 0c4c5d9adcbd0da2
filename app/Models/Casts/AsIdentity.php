<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Tally\Device\Identity;

/**
 * What lies at a place, as it was when it was looked at.
 *
 * @implements CastsAttributes<Identity|null, Identity|null>
 */
final class AsIdentity implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Identity
    {
        return is_string($value) ? Identity::unpack(Json::decode($value)) : null;
    }

    /** @return string|null JSON */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value instanceof Identity ? Json::of($value->pack()) : null;
    }
}
