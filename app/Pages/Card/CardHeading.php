<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Models\Cards\Card;
use Tally\Label\Form;

/** The card that a page is about, in a few words. */
final readonly class CardHeading
{
    public static function card(Card $card): CardProps
    {
        return new CardProps(
            $card->tag,
            $card->name,
            str_replace(' · ', ', ', $card->line),
            $card->capacity->count,
            $card->footage->count,
            $card->form === Form::MicroSd,
        );
    }
}
