<?php

declare(strict_types=1);

namespace Tally\Measured;

use Tally\Quantity\Rate;
use Tally\Value\Key;

/** The most that this house has seen a reader carry, with any card. */
final readonly class Reached
{
    /**
     * @param  Rate|null  $over  what its link to the host carried on paper then; null where that is not known
     */
    public function __construct(#[Key('name')] public string $reader, #[Key('reached')] public Rate $rate, public ?Rate $over = null) {}
}
