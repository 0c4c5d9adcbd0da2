<?php

declare(strict_types=1);

namespace App\Models\Casts;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Tally\Record\Before;
use Tally\Record\Fields;
use Tally\Record\Result;
use Tally\Record\RunKind;

/**
 * What came of a run, as the class of its kind. One that was read from a file is kept to the letter, so that its hash stays
 * what it was: it may be given as the array it came as, once it has been read.
 *
 * @implements CastsAttributes<Result, Result|array<mixed>>
 */
final class AsResult implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Result
    {
        if (! is_string($value)) {
            return null;
        }
        $kind = RunKind::from(is_string($attributes['kind'] ?? null) ? $attributes['kind'] : '');
        $result = Json::decode($value);

        return $kind->result(
            new Fields($kind->isProof() ? Before::proof($result, Json::decode($attributes['parameters'] ?? null)) : $result, $key),
        );
    }

    /** @return string|null JSON */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return match (true) {
            $value instanceof Result => Json::of($value->pack()),
            is_array($value) => Json::of($value),
            default => null,
        };
    }
}
