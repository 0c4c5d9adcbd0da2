<?php

declare(strict_types=1);

namespace App\Pages\Card;

use Tally\Quantity\NotAQuantity;
use Tally\Record\TypedReading;

/**
 * Speaks up while somebody types a figure from elsewhere.
 *
 * @phpstan-type TypedCheckProps array{ // What a typed reading comes to.
 *     rate: string|null, // in MB/s and Mb/s; null while nothing comes of it
 *     sentence: string|null, // what to tell: that the three agree, which unit slipped, or what cannot be read
 *     wrong: bool, // whether the sentence is a complaint
 * }
 */
final readonly class TypedCheck
{
    private const MOST = 50;

    /** @return list<TypedCheckProps> one for each reading */
    public static function of(mixed $readings): array
    {
        return array_map(
            fn (mixed $row): array => self::one(is_array($row) ? $row : []),
            array_values(array_slice(is_array($readings) ? $readings : [], 0, self::MOST)),
        );
    }

    /**
     * @param  array<mixed>  $row
     * @return TypedCheckProps
     */
    private static function one(array $row): array
    {
        try {
            $reading = TypedReading::parse($row);
        } catch (NotAQuantity $fault) {
            return ['rate' => null, 'sentence' => $fault->getMessage(), 'wrong' => true];
        }
        $rate = $reading->rate();
        $accord = $reading->accord();

        return [
            'rate' => $rate === null ? null : $rate->print().' · '.number_format($rate->megabits(), 0, '.', "\u{202F}").' Mb/s',
            'sentence' => $accord?->sentence(),
            'wrong' => $accord !== null && ! $accord->agrees(),
        ];
    }
}
