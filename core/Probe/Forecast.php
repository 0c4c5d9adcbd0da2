<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** How long a run will take: size ÷ write + size ÷ read, for each run. */
final readonly class Forecast
{
    public function __construct(private Rate $write, private Rate $read) {}

    public function for(Bytes $size, int $runs = 1): Span
    {
        return Span::seconds($runs * ($this->write->timeFor($size)->seconds + $this->read->timeFor($size)->seconds));
    }
}
