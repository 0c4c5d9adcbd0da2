<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Buying\Quote;
use Tally\Measured\Reached;
use Tally\Origin\Code;
use Tally\Value\ByHand;

/** What else is known where a card is, as a case has it. */
#[ByHand]
final readonly class WrittenHouse
{
    /**
     * @param  list<Reached>  $readers  the most each was seen to carry, with any card
     * @param  list<WrittenQuote>  $prices
     * @param  list<WrittenSister>  $cards
     * @param  WrittenEngine|null  $engine  null where nobody said what the bench gives
     */
    public function __construct(
        public array $readers = [],
        private array $prices = [],
        private array $cards = [],
        public ?WrittenEngine $engine = null,
    ) {}

    /** @return list<Quote> */
    public function quotes(): array
    {
        return array_map(fn (WrittenQuote $one): Quote => $one->quote, $this->prices);
    }

    /** @return list<string> cards that bear the same serial number */
    public function sameSerial(?string $serial): array
    {
        $key = Code::key($serial);
        $same = array_filter($this->cards, fn (WrittenSister $one): bool => $key !== null && Code::key($one->serial) === $key);

        return array_values(array_map(fn (WrittenSister $one): string => $one->tag, $same));
    }
}
