<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

/** A place with the cards that go there. */
final readonly class PackedPlace
{
    /** @param  list<PackedCard>  $cards  in the order they are used */
    public function __construct(public Place $place, public array $cards) {}

    public function count(): int
    {
        return array_sum(array_map(fn (PackedCard $card): int => $card->count, $this->cards));
    }

    /** Seconds or shots that no card is there for; of a spare, 1 where there is none. */
    public function missing(): int
    {
        return max(0, $this->place->need - ($this->place->isSpare() ? count($this->cards) : $this->count()));
    }

    /** `33 min`, `a spare`. */
    public function misses(): string
    {
        return $this->place->isSpare() ? 'a spare' : $this->place->count->atLeast($this->missing());
    }
}
