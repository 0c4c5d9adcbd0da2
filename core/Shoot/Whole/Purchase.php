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

    /** `2 × 128 GB, V60 or more, for C1 4K 60`. */
    public function words(): string
    {
        $name = $this->place->name();

        return $this->mark === null
            ? "no mark that fits promises what {$name} writes; only a card that was measured to keep it up would do"
            : "{$this->cards} × {$this->size->decimal()}, {$this->mark->value} or more, for {$name}";
    }
}
