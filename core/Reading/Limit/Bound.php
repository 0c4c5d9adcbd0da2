<?php

declare(strict_types=1);

namespace Tally\Reading\Limit;

/** How fast a card or a reader is: settled with an interval, or at least so fast. */
final readonly class Bound
{
    /**
     * @param  float  $rate  bytes a second
     * @param  float|null  $margin  half the 95 % confidence interval; null when it is only known to be at least the rate
     */
    public function __construct(public string $name, public float $rate, public ?float $margin) {}

    public function isSettled(): bool
    {
        return $this->margin !== null;
    }
}
