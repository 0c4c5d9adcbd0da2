<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** How far an offload has come: which cards were put in when, and what time it is. */
final readonly class SoFar
{
    /**
     * @param  array<int, float>  $in  placement → when its card was in; seconds from the beginning
     * @param  float  $now  seconds from the beginning
     */
    public function __construct(public array $in, public float $now) {}
}
