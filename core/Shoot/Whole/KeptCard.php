<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Quantity\Bytes;

/** A card in its place as a kept shoot has it: what it holds in minutes, and to the second; or in shots. */
final readonly class KeptCard
{
    /** @param  int|null  $seconds  null of shots; kept shoots of before hold whole minutes */
    public function __construct(
        public string $card,
        public string $slot,
        public int $holds,
        public ?int $seconds,
        public Bytes $capacity,
        public bool $proven = false,
        public string $words = '',
    ) {}

    public function packed(Count $by): PackedCard
    {
        $count = $by->isShots ? $this->holds : $this->seconds ?? 60 * $this->holds;

        return new PackedCard($this->card, $this->slot, $count, $this->capacity, isProven: $this->proven, words: $this->words);
    }
}
