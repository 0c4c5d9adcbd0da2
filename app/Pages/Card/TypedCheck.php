<?php

declare(strict_types=1);

namespace App\Pages\Card;

use Tally\Quantity\NotAQuantity;
use Tally\Record\TypedReading;

/** Speaks up while somebody types a figure from elsewhere. */
final readonly class TypedCheck
{
    private const MOST = 50;

    /** @return list<TypedCheckProps> one for each reading */
    public static function of(mixed $readings): array
    {
        return array_map(
            fn (mixed $row): TypedCheckProps => self::one(is_array($row) ? $row : []),
            array_values(array_slice(is_array($readings) ? $readings : [], 0, self::MOST)),
        );
    }

    /** @param  array<mixed>  $row */
    private static function one(array $row): TypedCheckProps
    {
        try {
            $reading = TypedReading::parse($row);
        } catch (NotAQuantity $fault) {
            return new TypedCheckProps(null, $fault->getMessage(), true);
        }
        $rate = $reading->rate();
        $accord = $reading->accord();

        return new TypedCheckProps(
            $rate === null ? null : $rate->print().' · '.number_format($rate->megabits(), 0, '.', "\u{202F}").' Mb/s',
            $accord?->sentence(),
            $accord !== null && ! $accord->agrees(),
        );
    }
}
