<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Label\Mark;
use Tally\Quantity\Bytes;

/** Cards that would have to be bought for a place. */
final readonly class Purchase
{
    /**
     * @param  Mark|null  $mark  the least that opens it; null where no mark promises as much, and only a measured card would do
     * @param  Bytes  $size  of each
     * @param  int  $cards  how many; 0 where no number would do
     */
    public function __construct(public Place $place, public ?Mark $mark, public Bytes $size, public int $cards) {}
}
