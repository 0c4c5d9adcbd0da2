<?php

declare(strict_types=1);

namespace Tally\Buying;

use Tally\Label\Mark;

/** What to buy for a need, from the house’s own evidence: the frontier, and what each criterion picks. Handbook § 9. */
final readonly class Choice
{
    /** @var list<Offer> that are not struck out and large enough */
    public array $offers;

    /** @param  list<Offer>  $all  of one currency */
    public function __construct(array $all, private Need $need)
    {
        $this->offers = array_values(
            array_filter($all, fn (Offer $one): bool => ! $one->isStruckOut && $one->label->capacity->count >= $need->size->count),
        );
    }

    /** Whether it was measured here to keep up what is needed. */
    public function passes(Offer $offer): bool
    {
        return $offer->keepsUp !== null && ($this->need->floor === null || ! $offer->keepsUp->isBelow($this->need->floor));
    }

    /** Whether a VPG or E mark on it promises what is written. */
    public function isGuaranteed(Offer $offer): bool
    {
        $writes = $this->need->writes;
        $enough = fn (Mark $mark): bool => $mark->isGuarantee() && ($writes === null || ! $mark->floor()->isBelow($writes));

        return array_filter($offer->label->marks, $enough) !== [];
    }

    /** @return list<Offer> measured ones than which no other is no dearer a gigabyte, no slower, and better in one; cheapest first */
    public function frontier(): array
    {
        $measured = array_values(array_filter($this->offers, fn (Offer $one): bool => $one->keepsUp !== null));
        usort($measured, function (Offer $a, Offer $b): int {
            $dearer = $a->perGigabyte()->compareTo($b->perGigabyte());

            return $dearer === 0 ? self::speed($b) <=> self::speed($a) : $dearer;
        });
        $frontier = [];
        $best = -1.0;
        foreach ($measured as $one) {
            if (self::speed($one) > $best) {
                $frontier[] = $one;
                $best = self::speed($one);
            }
        }

        return $frontier;
    }

    /** What a criterion picks; null where nothing will do. Of two that are as good, the one of which more were tested. */
    public function pick(BuyingCriterion $criterion): ?Offer
    {
        return match ($criterion) {
            BuyingCriterion::Cheapest => $this->cheapest(array_filter($this->offers, $this->passes(...))),
            BuyingCriterion::Guaranteed => $this->cheapest(array_filter($this->offers, $this->isGuaranteed(...))),
            BuyingCriterion::Value => $this->value(array_filter($this->frontier(), $this->passes(...))),
        };
    }

    /** @param  array<Offer>  $offers */
    private function cheapest(array $offers): ?Offer
    {
        $rank = fn (Offer $one): array => [$one->total($this->need->cards), -$one->tested, $one->name];
        usort($offers, fn (Offer $a, Offer $b): int => $rank($a) <=> $rank($b));

        return $offers[0] ?? null;
    }

    /**
     * Most kept up for the price of a gigabyte.
     *
     * @param  array<Offer>  $offers
     */
    private function value(array $offers): ?Offer
    {
        $worth = fn (Offer $one): float => self::speed($one) / $one->perGigabyte()->toFloat();
        usort($offers, fn (Offer $a, Offer $b): int => $worth($b) <=> $worth($a));

        return $offers[0] ?? null;
    }

    private static function speed(Offer $offer): float
    {
        return $offer->keepsUp->bytesPerSecond ?? 0.0;
    }
}
