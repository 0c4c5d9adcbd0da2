<?php

declare(strict_types=1);

namespace Tally\Reading\Course;

use Tally\Quantity\Rate;
use Tally\Value\Row;

/** A part of a course that goes at one speed. */
#[Row]
final readonly class Plateau
{
    /**
     * @param  float  $from  bytes from the start
     * @param  float  $to  bytes from the start
     */
    public function __construct(public float $from, public float $to, public Rate $rate) {}
}
