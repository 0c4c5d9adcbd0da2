<?php

declare(strict_types=1);

namespace Tally\Shoot\Handout;

/** How many cards of each kind go where. */
final readonly class Handout
{
    /**
     * @param  array<int, array<int, int>>  $taken  place → kind → cards
     * @param  int  $value  what it comes to: points that are missing, or what its cards cost
     * @param  int  $least  no other comes to less than this
     */
    public function __construct(public array $taken, public int $value, public int $least) {}

    public function isProven(): bool
    {
        return $this->value <= $this->least;
    }
}
