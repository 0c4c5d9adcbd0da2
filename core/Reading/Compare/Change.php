<?php

declare(strict_types=1);

namespace Tally\Reading\Compare;

use InvalidArgumentException;

/** From one speed to another, in percentages that name their base. */
final readonly class Change
{
    public function __construct(public float $from, public float $to)
    {
        if ($from <= 0 || $to <= 0) {
            throw new InvalidArgumentException("A change leads from one speed above zero to another; {$from} and {$to} were given.");
        }
    }

    /** From one time to another: the shorter it takes, the faster it is. */
    public static function ofTimes(float $from, float $to): self
    {
        return new self(1 / $from, 1 / $to);
    }

    /** @return float share by which the second is faster, of the first; below zero when it is slower */
    public function faster(): float
    {
        return $this->to / $this->from - 1;
    }

    /** @return float share of the first’s time that the second saves; below zero when it takes longer */
    public function lessTime(): float
    {
        return 1 - $this->from / $this->to;
    }

    public function back(): self
    {
        return new self($this->to, $this->from);
    }

    /** `R2 is 32.8 % faster than R1 and takes 24.7 % less time` */
    public function words(string $from, string $to): string
    {
        $percent = fn (float $share): string => number_format(abs(100 * $share), 1).' %';

        // Less than half of the last digit that is printed.
        if (abs($this->faster()) < 0.0005) {
            return "{$to} is as fast as {$from}, to a tenth of a percent";
        }

        return $this->to >= $this->from
            ? "{$to} is {$percent($this->faster())} faster than {$from} and takes {$percent($this->lessTime())} less time"
            : "{$to} is {$percent($this->faster())} slower than {$from} and takes {$percent($this->lessTime())} more time";
    }
}
