<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Quantity\Bytes;
use Tally\Shoot\FitCard;

/** A packing for JSON, as docs/fit.md says. */
final readonly class PackingFile
{
    /** @return array<string, mixed> */
    public static function of(Packing $packing): array
    {
        return [
            'best' => $packing->isBest,
            'could_save_minutes' => $packing->couldSave,
            'places' => array_map(self::place(...), $packing->places),
            'left' => array_map(fn (FitCard $card): string => $card->tag, $packing->left),
            'buy' => array_map(
                fn (Purchase $buy): array => [
                    'place' => $buy->place->name(),
                    'mark' => $buy->mark?->value,
                    'size' => $buy->size->exact(),
                    'cards' => $buy->cards,
                ],
                $packing->buys,
            ),
            'evenings' => array_map(
                fn (Evening $evening): array => [
                    'day' => $evening->day,
                    'home' => $evening->comesHome,
                    'cards' => array_map(fn (Bytes $on): string => $on->exact(), $evening->cards),
                ],
                Evening::of($packing),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function place(PackedPlace $one): array
    {
        [$count, $isSpare] = [$one->place->count, $one->place->isSpare()];

        return [
            'place' => $one->place->name(),
            'camera' => $one->place->wanted->camera->tag,
            'mode' => $one->place->wanted->mode->name,
            'kind' => $one->place->kind->value,
            'unit' => $isSpare ? 'card' : ($count->isShots ? 'shot' : 'minute'),
            'need' => $isSpare ? $one->place->need : $count->said($one->place->need),
            'missing' => $isSpare ? $one->missing() : $count->said($count->needed($one->missing())),
            'cards' => array_map(fn (PackedCard $card): KeptCard => $card->kept($count), $one->cards),
        ];
    }
}
