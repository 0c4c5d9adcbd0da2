<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Cards\Card;
use App\Models\When;
use Generator;
use Tally\Label\Mark;

/** All cards as rows of a table that can be read in again and gives the same cards. */
final readonly class CardTable
{
    /** @return Generator<int, list<string>> the headings first; then a row for each card, with its verdict at the end */
    public static function rows(): Generator
    {
        yield [...array_map(fn (CardField $field): string => $field->heading(), CardField::cases()), 'Verdict'];
        foreach (Card::query()->orderBy('tag')->lazy(500) as $card) {
            yield self::row($card);
        }
    }

    /** @return list<string> */
    private static function row(Card $card): array
    {
        return [...array_map(fn (CardField $field): string => self::cell($card, $field), CardField::cases()), $card->verdict->value];
    }

    /** A field of a card as the table shows it, and as a correction is written down. */
    public static function cell(Card $card, CardField $field): string
    {
        $price = $card->origin()->price;

        return match ($field) {
            CardField::Tag => $card->tag,
            CardField::Name => $card->name,
            CardField::Form => $card->form->label(),
            CardField::Capacity => $card->capacity->exact(),
            CardField::Family => $card->family->value ?? '',
            CardField::Bus => $card->bus?->label() ?? '',
            CardField::Marks => $card->marks->map(fn (Mark $mark): string => $mark->value)->implode(' '),
            CardField::Read => $card->read?->exact() ?? '',
            CardField::Write => $card->write?->exact() ?? '',
            CardField::Sustained => $card->sustained?->exact() ?? '',
            CardField::Times => $card->times === null ? '' : "{$card->times}x",
            CardField::ContactRows => (string) $card->contact_rows,
            CardField::Footage => $card->footage->isZero() ? '' : $card->footage->exact(),
            CardField::Serial => $card->serial ?? '',
            CardField::BackCode => $card->back_code ?? '',
            CardField::Price => $price?->printAmount() ?? '',
            CardField::Currency => $price->currency ?? '',
            CardField::Seller => $card->seller ?? '',
            CardField::OrderNo => $card->order_no ?? '',
            CardField::Lot => $card->lot ?? '',
            CardField::BoughtOn => $card->bought_on?->format(When::ISO_DAY) ?? '',
            CardField::Provenance => $card->provenance->value ?? '',
        };
    }
}
