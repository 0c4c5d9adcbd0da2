<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

use Illuminate\Support\Carbon;
use Tally\Quantity\Bytes;
use Tally\Shoot\Whole\Evening;
use Tally\Shoot\Whole\PackedCard;
use Tally\Shoot\Whole\PackedPlace;
use Tally\Shoot\Whole\Packing;

/**
 * Which card goes where on a shoot, and what comes home.
 *
 * @phpstan-type EveningCardProps array{ // What is on a card on an evening.
 *     tag: string,
 *     size: string,
 * }
 * @phpstan-type EveningProps array{ // What is on which card on an evening.
 *     day: string, // such as `day 2`, or the date where the shoot has one
 *     cards: list<EveningCardProps>,
 *     total: string, // on all of them
 *     offload: string|null, // where its offload is planned; null where cards do not come home that evening
 * }
 * @phpstan-type PackedCardProps array{ // A card in its place.
 *     tag: string,
 *     slot: string,
 *     lasts: string, // such as `63 min`; with ~ where its capacity was not proven
 *     isProven: bool,
 *     share: float, // of what the place needs
 *     words: string, // such as `Unproven`; empty where there is nothing to say
 * }
 * @phpstan-type PackedPlaceProps array{ // Where cards go, and which.
 *     name: string, // such as `C1 4K 60`
 *     isSpare: bool,
 *     needs: string, // such as `99 min`
 *     has: string, // the same of its cards together
 *     misses: string, // such as `33 min`; empty where nothing is missing
 *     cards: list<PackedCardProps>, // in the order they are used
 * }
 * @phpstan-type PackedProps array{ // Which card goes where, and what is on it in the evenings.
 *     places: list<PackedPlaceProps>,
 *     evenings: list<EveningProps>, //
 * }
 */
final readonly class PackedPicture
{
    /** @return PackedProps */
    public static function of(Packing $packing, ?Carbon $begins = null): array
    {
        return [
            'places' => array_map(self::place(...), $packing->places),
            'evenings' => array_values(
                array_map(
                    fn (Evening $one): array => self::evening($one, $begins),
                    array_filter(Evening::of($packing), fn (Evening $one): bool => $one->cards !== []),
                ),
            ),
        ];
    }

    /** @return PackedPlaceProps */
    private static function place(PackedPlace $one): array
    {
        $place = $one->place;

        return [
            'name' => $place->name(),
            'isSpare' => $place->isSpare(),
            'needs' => $place->needs(),
            'has' => $place->isSpare() ? '' : $place->count->words($one->count()),
            'misses' => $one->missing() === 0 ? '' : $one->misses(),
            'cards' => array_map(
                fn (PackedCard $card): array => [
                    'tag' => $card->tag,
                    'slot' => $card->slot,
                    'lasts' => ($card->isProven ? '' : '~').$place->count->words($card->count),
                    'isProven' => $card->isProven,
                    'share' => $place->isSpare() ? 1.0 : $card->count / max(1, $place->need),
                    'words' => $card->words,
                ],
                $one->cards,
            ),
        ];
    }

    /** @return EveningProps */
    private static function evening(Evening $one, ?Carbon $begins): array
    {
        $asked = ['cards' => array_map(strval(...), array_keys($one->cards))];
        foreach ($one->cards as $tag => $on) {
            $asked['holds'][] = "{$tag}:{$on->count}";
        }
        $total = Bytes::of(array_sum(array_map(fn (Bytes $on): int => $on->count, $one->cards)));

        return [
            'day' => $begins === null ? "day {$one->day}" : $begins->copy()->addDays($one->day - 1)->format('D j M'),
            'cards' => array_map(
                fn (int|string $tag, Bytes $on): array => ['tag' => strval($tag), 'size' => $on->decimal()],
                array_keys($one->cards),
                array_values($one->cards),
            ),
            'total' => $total->decimal(),
            'offload' => $one->comesHome ? '/offload?'.http_build_query($asked) : null,
        ];
    }
}
