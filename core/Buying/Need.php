<?php

declare(strict_types=1);

namespace Tally\Buying;

use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** What cards are wanted for: how fast, how large, how many. */
final readonly class Need
{
    /**
     * @param  Rate|null  $writes  what is written; null for any
     * @param  Rate|null  $floor  what a measured card must never fall under: with the margin of the house
     * @param  Bytes  $size  of each at the least; nothing for any
     */
    public function __construct(public ?Rate $writes, public ?Rate $floor, public Bytes $size, public int $cards) {}
}
