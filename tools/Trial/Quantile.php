<?php

declare(strict_types=1);

namespace Tools\Trial;

/** Of what was measured again and again. */
final readonly class Quantile
{
    /** @param  list<float>  $values */
    public static function at(float $share, array $values): float
    {
        sort($values);

        return $values[max(0, (int) ceil($share * count($values)) - 1)] ?? 0.0;
    }
}
