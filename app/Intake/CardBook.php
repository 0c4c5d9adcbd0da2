<?php

declare(strict_types=1);

namespace App\Intake;

use App\Evidence\CardEvidence;
use App\Models\Card;

/** Enters cards in the books and corrects them, and has every verdict that this touches derived anew. */
final readonly class CardBook
{
    /** @param  list<array<string, mixed>>  $cards  columns of each */
    public static function enter(array $cards, ?string $by = null): void
    {
        $entered = array_map(fn (array $columns): Card => Card::query()->create([...$columns, 'recorded_by' => $by])->refresh(), $cards);
        // Only once all of them stand there: cards of one batch may share a code.
        foreach ($entered as $card) {
            CardEvidence::refresh($card);
        }
        self::refreshSharing(array_map(fn (Card $card): ?string => $card->serial_key, $entered), array_map(fn (Card $card): int => $card->id, $entered));
    }

    /** @param  array<string, mixed>  $columns */
    public static function correct(Card $card, array $columns): void
    {
        $before = $card->serial_key;
        $card->forceFill($columns)->save();
        CardEvidence::refresh($card);
        if ($before !== $card->serial_key) {
            self::refreshSharing([$before, $card->serial_key], [$card->id]);
        }
    }

    /** Cards of a form and tier that were bought at a price: what such cards cost has changed. */
    public static function refreshPriced(string $form, string $currency): void
    {
        Card::query()->where(['form' => $form, 'currency' => $currency])->whereNotNull('price')->each(CardEvidence::refresh(...));
    }

    /**
     * A serial that turns up twice speaks against both cards.
     *
     * @param  list<string|null>  $serials
     * @param  list<int>  $but  cards that are up to date
     */
    private static function refreshSharing(array $serials, array $but): void
    {
        $keys = array_values(array_unique(array_filter($serials, fn (?string $key): bool => $key !== null)));
        foreach (array_chunk($keys, 500) as $chunk) {
            Card::query()->whereIn('serial_key', $chunk)->whereKeyNot($but)->get()->each(CardEvidence::refresh(...));
        }
    }
}
