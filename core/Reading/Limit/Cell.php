<?php

declare(strict_types=1);

namespace Tally\Reading\Limit;

/** What one card did in one reader, one way. */
final readonly class Cell
{
    /**
     * @param  non-empty-list<float>  $rates  bytes a second, of trusted runs
     * @param  string  $make  maker and series: cards of one make may agree because they are alike
     */
    public function __construct(public string $card, public string $reader, public array $rates, public string $make = '') {}
}
