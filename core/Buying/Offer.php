<?php

declare(strict_types=1);

namespace Tally\Buying;

use Brick\Math\BigRational;
use Tally\Label\Label;
use Tally\Quantity\Rate;

/** A model of a card that can be bought somewhere, and what this house knows of it. */
final readonly class Offer
{
    /**
     * @param  string  $name  as its label says
     * @param  string  $seller  empty where nobody said
     * @param  string  $on  the day of the price
     * @param  Rate|null  $keepsUp  the worst long write of those that were tested here; null where none was
     * @param  int  $owned  how many of it the house has or had
     * @param  int  $tested  how many of those were written to at length
     * @param  int  $failed  how many were found Slow, Shaky or Sham
     * @param  bool  $isStruckOut  whether it is in no recommendation
     * @param  Price|null  $reader  that it needs besides; null where the house has one
     */
    public function __construct(
        public string $name,
        public string $seller,
        public Label $label,
        public Price $price,
        public string $on,
        public ?Rate $keepsUp = null,
        public int $owned = 0,
        public int $tested = 0,
        public int $failed = 0,
        public bool $isStruckOut = false,
        public ?Price $reader = null,
    ) {}

    /** @return BigRational minor units a gigabyte of 10⁹ bytes, without a reader */
    public function perGigabyte(): BigRational
    {
        return $this->price->perGigabyte($this->label->capacity);
    }

    /** @return int minor units of so many of it, with the reader that they need */
    public function total(int $cards): int
    {
        return $cards * $this->price->minor + ($this->reader->minor ?? 0);
    }

    /** @return BigRational|null minor units for each MB/s that it keeps up; null where nothing was measured */
    public function perMegabyteASecond(): ?BigRational
    {
        return $this->keepsUp === null ? null : BigRational::nd($this->price->minor, 1)->dividedBy((string) $this->keepsUp->megabytes());
    }
}
