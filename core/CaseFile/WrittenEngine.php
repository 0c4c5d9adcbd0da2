<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Measured\Instrument;
use Tally\Quantity\Rate;
use Tally\Value\ByHand;

/** What the bench itself gives on memory. */
#[ByHand]
final readonly class WrittenEngine
{
    public function __construct(private ?Rate $write = null, private ?Rate $read = null) {}

    public function instrument(): Instrument
    {
        return new Instrument($this->write, $this->read);
    }
}
