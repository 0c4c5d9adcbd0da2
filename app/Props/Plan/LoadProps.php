<?php

declare(strict_types=1);

namespace App\Props\Plan;

/** How busy a link or a drive is in a plan. */
final readonly class LoadProps
{
    /** @param  float  $share  of the time until all is done, at its full ceiling */
    public function __construct(public string $name, public float $share) {}
}
