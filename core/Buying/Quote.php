<?php

declare(strict_types=1);

namespace Tally\Buying;

use Brick\Math\BigRational;
use Tally\Label\Form;
use Tally\Quantity\Bytes;

/** What somebody asked for a card of a certain kind. */
final readonly class Quote
{
    public function __construct(public Form $form, public Tier $tier, public Bytes $capacity, public Price $price) {}

    public function perGigabyte(): BigRational
    {
        return $this->price->perGigabyte($this->capacity);
    }
}
