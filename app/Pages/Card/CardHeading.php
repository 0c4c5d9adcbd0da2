<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Models\Cards\Card;
use Tally\Label\Form;

/**
 * The card that a page is about, in a few words.
 *
 * @phpstan-type CardProps array{ // The card a page is about.
 *     tag: string,
 *     name: string,
 *     line: string, // capacity, bus, top mark
 *     capacity: int, // bytes
 *     footage: int,
 *     isMicro: bool, // whether it is drawn as a microSD card
 * }
 */
final readonly class CardHeading
{
    /** @return CardProps */
    public static function card(Card $card): array
    {
        return [
            'tag' => $card->tag,
            'name' => $card->name,
            'line' => str_replace(' · ', ', ', $card->line),
            'capacity' => $card->capacity->count,
            'footage' => $card->footage->count,
            'isMicro' => $card->form === Form::MicroSd,
        ];
    }
}
