<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

use Illuminate\Support\Carbon;
use Tally\Quantity\Bytes;
use Tally\Shoot\Whole\Evening;
use Tally\Shoot\Whole\PackedCard;
use Tally\Shoot\Whole\PackedPlace;
use Tally\Shoot\Whole\Packing;

/** Which card goes where on a shoot, and what comes home. */
final readonly class PackedPicture
{
    public static function of(Packing $packing, ?Carbon $begins = null): PackedProps
    {
        return new PackedProps(
            array_map(self::place(...), $packing->places),
            array_values(
                array_map(
                    fn (Evening $one): EveningProps => self::evening($one, $begins),
                    array_filter(Evening::of($packing), fn (Evening $one): bool => $one->cards !== []),
                ),
            ),
        );
    }

    private static function place(PackedPlace $one): PackedPlaceProps
    {
        $place = $one->place;

        return new PackedPlaceProps(
            $place->name(),
            $place->isSpare(),
            $place->needs(),
            $place->isSpare() ? '' : $place->count->words($one->count()),
            $one->missing() === 0 ? '' : $one->misses(),
            array_map(
                fn (PackedCard $card): PackedCardProps => new PackedCardProps(
                    $card->tag,
                    $card->slot,
                    ($card->isProven ? '' : '~').$place->count->words($card->count),
                    $card->isProven,
                    $place->isSpare() ? 1.0 : $card->count / max(1, $place->need),
                    $card->words,
                ),
                $one->cards,
            ),
        );
    }

    private static function evening(Evening $one, ?Carbon $begins): EveningProps
    {
        $asked = ['cards' => array_map(strval(...), array_keys($one->cards))];
        foreach ($one->cards as $tag => $on) {
            $asked['holds'][] = "{$tag}:{$on->count}";
        }
        $total = Bytes::of(array_sum(array_map(fn (Bytes $on): int => $on->count, $one->cards)));

        return new EveningProps(
            $begins === null ? "day {$one->day}" : $begins->copy()->addDays($one->day - 1)->format('D j M'),
            array_map(
                fn (int|string $tag, Bytes $on): EveningCardProps => new EveningCardProps(strval($tag), $on->decimal()),
                array_keys($one->cards),
                array_values($one->cards),
            ),
            $total->decimal(),
            $one->comesHome ? '/offload?'.http_build_query($asked) : null,
        );
    }
}
