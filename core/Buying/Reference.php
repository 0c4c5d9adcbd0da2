<?php

declare(strict_types=1);

namespace Tally\Buying;

use Brick\Math\BigRational;
use Tally\Label\Form;

/** What a gigabyte of one form and tier usually costs, from the house's own quotes: their median. */
final readonly class Reference
{
    /** @param  BigRational  $perGigabyte  minor units of the currency */
    private function __construct(public BigRational $perGigabyte, public string $currency, public int $quotes) {}

    /**
     * @param  list<Quote>  $quotes  of any kind
     * @return self|null null while no quote of this form, tier and currency exists
     */
    public static function from(array $quotes, Form $form, Tier $tier, string $currency): ?self
    {
        $prices = [];
        foreach ($quotes as $quote) {
            if ($quote->form === $form && $quote->tier->floor === $tier->floor && $quote->price->currency === $currency) {
                $prices[] = $quote->perGigabyte();
            }
        }
        if ($prices === []) {
            return null;
        }
        usort($prices, fn (BigRational $a, BigRational $b): int => $a->compareTo($b));
        $middle = intdiv(count($prices), 2);
        $median = count($prices) % 2 === 1 ? $prices[$middle] : $prices[$middle - 1]->plus($prices[$middle])->dividedBy(2);

        return new self($median, $currency, count($prices));
    }

    public function print(): string
    {
        return Price::printPerGigabyte($this->perGigabyte, $this->currency);
    }
}
