<?php

declare(strict_types=1);

namespace Tally\Chain;

use Tally\Quantity\Rate;

/**
 * What people see a link give: a range. Plans may use its high end; blame goes by its low one, since a link that gives
 * little may still be as it should.
 */
final readonly class Practice
{
    /** @param  Rate|null  $high  null where nobody has published one */
    public function __construct(public Rate $low, public ?Rate $high = null) {}

    /** @param  float  $low  MB/s */
    public static function megabytes(float $low, ?float $high): self
    {
        return new self(Rate::megabytesPerSecond($low), $high === null ? null : Rate::megabytesPerSecond($high));
    }

    /** `30–40 MB/s`, `2300 MB/s and up` */
    public function print(): string
    {
        if ($this->high === null) {
            return "{$this->low->print()} and up";
        }

        return $this->low->print() === $this->high->print()
            ? $this->low->print()
            : str_replace(' MB/s', '', $this->low->print())."–{$this->high->print()}";
    }
}
