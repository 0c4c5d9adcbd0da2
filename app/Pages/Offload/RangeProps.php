<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** Where a time of a plan lies, of many reckoned with other rates. Seconds. */
final readonly class RangeProps
{
    /**
     * @param  float  $early  one in ten is earlier
     * @param  float  $late  one in ten is later
     */
    public function __construct(public float $early, public float $middle, public float $late) {}
}
