<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** Beyond which a plan is of no interest, since a better one is known. */
final readonly class Limits
{
    /**
     * @param  float  $done  seconds
     * @param  float  $free  seconds
     */
    public function __construct(public float $done = INF, public float $free = INF, public int $hands = PHP_INT_MAX) {}

    public function areBroken(float $now, bool $isFree, int $hands): bool
    {
        return $now > $this->done || (! $isFree && $now > $this->free) || $hands > $this->hands;
    }
}
