<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Quantity\Bytes;

/** A card in its place, in the order it is used. */
final readonly class PackedCard
{
    /**
     * @param  int  $count  seconds or shots that it holds there
     * @param  string  $words  said beside it, such as `Unproven`; empty where there is nothing to say
     */
    public function __construct(
        public string $tag,
        public string $slot,
        public int $count,
        public Bytes $capacity,
        public bool $isProven,
        public string $words,
    ) {}

    public function kept(Count $by): KeptCard
    {
        return new KeptCard(
            card: $this->tag,
            slot: $this->slot,
            holds: $by->said($this->count),
            seconds: $by->isShots ? null : $this->count,
            capacity: $this->capacity,
            proven: $this->isProven,
            words: $this->words,
        );
    }
}
