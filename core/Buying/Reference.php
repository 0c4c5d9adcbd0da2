<?php

declare(strict_types=1);

namespace Tally\Buying;

use Brick\Math\BigRational;
use Tally\Label\Form;
use Tally\Quantity\Bytes;

/**
 * What a gigabyte of such a card usually costs, from the house's own quotes: their median. Large cards cost less a
 * gigabyte than small ones, so only quotes of half to twice the capacity tell anything, and only three of them or more.
 * Handbook § 6 rule 11; house rules.
 */
final readonly class Reference
{
    public const LEAST_QUOTES = 3;

    /** Quotes of so many times more or less are of another size of card. */
    private const NEAR = 2;

    /** @param  BigRational  $perGigabyte  minor units of the currency */
    private function __construct(public BigRational $perGigabyte, public string $currency, public int $quotes, private Bytes $capacity) {}

    /**
     * @param  list<Quote>  $quotes  of any kind
     * @param  Bytes  $capacity  of the card it is asked for
     * @return self|null null while there are fewer than three quotes of this form, tier and currency near this capacity
     */
    public static function from(array $quotes, Form $form, Tier $tier, string $currency, Bytes $capacity): ?self
    {
        $prices = [];
        foreach ($quotes as $quote) {
            $isNear = $quote->capacity->count * self::NEAR >= $capacity->count && $quote->capacity->count <= $capacity->count * self::NEAR;
            if ($isNear && $quote->form === $form && $quote->tier->floor === $tier->floor && $quote->price->currency === $currency) {
                $prices[] = $quote->perGigabyte();
            }
        }

        return count($prices) < self::LEAST_QUOTES ? null : new self(self::median($prices), $currency, count($prices), $capacity);
    }

    /** @param  non-empty-list<BigRational>  $prices */
    public static function median(array $prices): BigRational
    {
        usort($prices, fn (BigRational $a, BigRational $b): int => $a->compareTo($b));
        $middle = intdiv(count($prices), 2);

        return count($prices) % 2 === 1 ? $prices[$middle] : $prices[$middle - 1]->plus($prices[$middle])->dividedBy(2);
    }

    public function print(): string
    {
        return Price::printPerGigabyte($this->perGigabyte, $this->currency);
    }

    /** `32 GB to 128 GB`: which capacities it speaks of */
    public function range(): string
    {
        return Bytes::of(intdiv($this->capacity->count, self::NEAR))->decimal().
            ' to '.
            Bytes::of($this->capacity->count * self::NEAR)->decimal();
    }
}
