<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use InvalidArgumentException;
use Tally\Record\Parameters;
use Tally\Record\RunKind;

/**
 * How a run was asked for, as the class of its kind.
 *
 * @implements CastsAttributes<Parameters, Parameters>
 */
final class AsParameters implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): Parameters
    {
        return RunKind::from(is_string($attributes['kind'] ?? null) ? $attributes['kind'] : '')->parameters(Json::fields($value, $key));
    }

    /** @return string JSON */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return $value instanceof Parameters
            ? Json::of($value->pack())
            : throw new InvalidArgumentException('The parameters of a run are those of its kind.');
    }
}
