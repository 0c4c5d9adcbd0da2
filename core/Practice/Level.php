<?php

declare(strict_types=1);

namespace Tally\Practice;

/** How hard it is to see through a card, from a look at its contacts to a cache that answers for it. */
enum Level: int
{
    case Look = 1;
    case Chain = 2;
    case Pace = 3;
    case Size = 4;
    case Faults = 5;
    case Cache = 6;

    public function words(): string
    {
        return match ($this) {
            self::Look => 'At first sight',
            self::Chain => 'Whose limit is it?',
            self::Pace => 'From the first gigabyte to the last',
            self::Size => 'How much is there?',
            self::Faults => 'The same again?',
            self::Cache => 'Harder to see through',
        };
    }

    /** @return non-empty-list<Trick> */
    public function tricks(): array
    {
        return match ($this) {
            self::Look => [Trick::OneRow, Trick::Fair, Trick::ShowsLess, Trick::Cheap],
            self::Chain => [Trick::OldSlot, Trick::SlowCard, Trick::SlowLink, Trick::OneRow, Trick::OldBench],
            self::Pace => [Trick::Cliff, Trick::HoldsOn, Trick::SlowCard, Trick::SlowLink],
            self::Size => [Trick::StartsOver, Trick::Drops, Trick::Spoils, Trick::Cheap],
            self::Faults => [Trick::EndsInErrors, Trick::BadSpots, Trick::ChangesItsMind, Trick::HoldsOn],
            self::Cache => [Trick::CacheAnswers, Trick::SameEnd, Trick::Drops, Trick::EndsInErrors],
        };
    }

    /**
     * The trick of a seed. Two seeds that follow one another never have the same one: even seeds draw from one half of the tricks,
     * odd ones from the other.
     */
    public function trick(int $seed): Trick
    {
        $half = array_values(
            array_filter($this->tricks(), fn (int $at): bool => $at % 2 === $seed % 2, ARRAY_FILTER_USE_KEY),
        );

        return $half[hexdec(substr(hash('sha256', "{$this->value} {$seed}"), 0, 6)) % count($half)];
    }
}
