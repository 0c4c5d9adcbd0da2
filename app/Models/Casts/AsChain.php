<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Tally\Measured\Chain;
use Tally\Record\ChainRecord;

/**
 * The chain a run was measured on.
 *
 * @implements CastsAttributes<Chain, Chain>
 */
final class AsChain implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): Chain
    {
        return ChainRecord::unpack(Json::fields($value, $key));
    }

    /** @return string JSON */
    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return Json::of(ChainRecord::pack($value instanceof Chain ? $value : Chain::unnamed()));
    }
}
