<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Card;
use App\Props\CardProps;
use Tally\Quantity\Bytes;

/** A label in a few words. */
final readonly class LabelWords
{
    /** `128 GB · SDXC UHS-II · V60` */
    public static function line(Card $card): string
    {
        // A CFexpress bus carries the name of the form again.
        $bus = str_replace('CFexpress ', '', $card->bus?->label() ?? '');
        $kind = trim(($card->family->value ?? $card->form->label()).' '.$bus);

        return implode(' · ', array_filter([
            Bytes::of($card->capacity)->decimal(),
            // The form is worth saying where the family does not tell it.
            $card->family !== null && $card->form->value === 'microsd' ? 'micro'.$kind : $kind,
            $card->label()->topMark()?->value,
        ], fn (?string $part): bool => $part !== null && $part !== ''));
    }

    public static function card(Card $card): CardProps
    {
        return new CardProps($card->tag, $card->name, str_replace(' · ', ', ', self::line($card)), $card->capacity, $card->footage);
    }
}
