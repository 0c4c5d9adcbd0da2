<?php

declare(strict_types=1);

namespace Tally\Origin;

use Tally\Buying\Price;
use Tally\Buying\Reference;
use Tally\Label\About;
use Tally\Label\Finding;
use Tally\Quantity\Bytes;

/** Reads where a card comes from against the other cards of the house and against what such cards cost. */
final readonly class OriginFindings
{
    private const PRACTICE = 'common practice, no source';

    /** @return list<Finding> */
    public static function of(Bytes $capacity, Origin $origin, Sisters $sisters, ?Reference $reference): array
    {
        return [
            ...self::codes($origin, $sisters),
            ...self::price($capacity, $origin->price, $reference),
            ...self::lot($origin, $sisters),
            ...self::provenance($origin),
        ];
    }

    /** @return list<Finding> */
    private static function codes(Origin $origin, Sisters $sisters): array
    {
        $findings = [];
        if ($sisters->sameSerial !== []) {
            $findings[] = Finding::doubt(
                'serial-met-before',
                "The serial {$origin->serial} is on ".
                    self::tags($sisters->sameSerial).
                    ' too: makers number every card once. One is a copy, or one card was entered twice: look at both.',
                self::PRACTICE,
            );
        }
        if ($sisters->sameBackCode !== []) {
            $findings[] = Finding::doubt(
                'back-code-met-before',
                "The back code {$origin->backCode} is on ".
                    self::tags($sisters->sameBackCode).
                    ' too: the same card under another sticker, or the same factory lot.',
                self::PRACTICE,
            );
        }

        return $findings;
    }

    /** @param  list<string>  $tags */
    private static function tags(array $tags): string
    {
        $shown = array_slice($tags, 0, 3);
        $more = count($tags) - count($shown);

        return implode(', ', $shown).($more > 0 ? " and {$more} more" : '');
    }

    /** @return list<Finding> */
    private static function price(Bytes $capacity, ?Price $price, ?Reference $reference): array
    {
        if ($price === null || $reference === null || $capacity->isZero()) {
            return [];
        }
        $share = $price->perGigabyte($capacity)->dividedBy($reference->perGigabyte);
        $percent = round(100 * $share->toFloat(), 1);
        $sentence =
            Price::printPerGigabyte($price->perGigabyte($capacity), $price->currency).
            " is {$percent} % of what such cards cost here, {$reference->print()} (the median of {$reference->quotes} quotes ".
            "for {$reference->range()}).";

        return match (true) {
            $share->isLessThan('1/4') => [
                Finding::doubt(
                    'price-far-under-market',
                    "{$sentence} A reason to prove it first of all; a price alone convicts no card.",
                    self::PRACTICE,
                )->about(About::Price),
            ],
            $share->isLessThan('1/2') => [
                Finding::note('price-under-market', "{$sentence} A reason to prove it early.", self::PRACTICE)->about(About::Price),
            ],
            default => [],
        };
    }

    /** @return list<Finding> */
    private static function lot(Origin $origin, Sisters $sisters): array
    {
        return $origin->lot === null || $sisters->otherSham === 0
            ? []
            : [
                Finding::doubt(
                    'bad-sister',
                    "{$sisters->others()} from lot {$origin->lot} ".
                        ($sisters->otherSham === 1 ? 'is' : 'are').
                        ' Sham: prove this one in full before it is used.',
                    self::PRACTICE,
                ),
            ];
    }

    /** @return list<Finding> */
    private static function provenance(Origin $origin): array
    {
        return match ($origin->provenance) {
            null => [Finding::note('provenance-unknown', 'Nobody recorded where it came from.', self::PRACTICE)],
            Provenance::Sample => [
                Finding::note('pre-production', 'A sample from before it was sold: the ones in the shops may differ.', self::PRACTICE),
            ],
            default => [],
        };
    }
}
