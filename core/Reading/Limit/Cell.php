<?php

declare(strict_types=1);

namespace Tally\Reading\Limit;

/** What one card did in one reader, one way. */
final readonly class Cell
{
    /**
     * @param  non-empty-list<float>  $rates  bytes a second, of trusted runs
     * @param  string  $make  maker and series: cards of one make may agree because they are alike
     * @param  float|null  $least  what the chain gives at the very least, bytes a second; null where nobody knows
     * @param  float|null  $otherWay  mean of the other way in the same reader, bytes a second; null where it was not measured
     */
    public function __construct(
        public string $card,
        public string $reader,
        public array $rates,
        public string $make = '',
        public ?float $otherWay = null,
        public ?float $least = null,
    ) {}
}
