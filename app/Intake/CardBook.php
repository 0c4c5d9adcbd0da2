<?php

declare(strict_types=1);

namespace App\Intake;

use App\Evidence\Acquaintance;
use App\Evidence\CardEvidence;
use App\Models\Card;
use Tally\Label\Form;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;

/** Enters cards in the books and corrects them, and has every verdict that this touches derived anew. */
final readonly class CardBook
{
    private const AT_ONCE = 500;

    /** @param  list<array<string, mixed>>  $cards  columns of each; no tag of them is taken */
    public static function enter(array $cards, ?string $by): void
    {
        $now = now()->toDateTimeString();
        $tags = [];
        $serials = [];
        foreach (array_chunk($cards, self::AT_ONCE) as $chunk) {
            Card::query()->insert(array_map(function (array $columns) use ($by, $now, &$tags, &$serials): array {
                $card = (new Card)->forceFill([...$columns, 'verdict' => VerdictKind::Unproven, 'next_step' => Step::Inspect, 'recorded_by' => $by, 'created_at' => $now, 'updated_at' => $now]);
                $card->derive();
                [$tags[], $serials[]] = [$card->tag, $card->serial_key];

                return $card->getAttributes();
            }, $chunk));
        }
        // Only once all of them stand there: cards of one batch may share a code.
        $house = new Acquaintance;
        foreach (array_chunk($tags, self::AT_ONCE) as $chunk) {
            foreach (Card::query()->whereIn('tag', $chunk)->get() as $card) {
                CardEvidence::refreshNew($card, $house);
            }
        }
        self::refreshSharing($serials, $tags);
    }

    /** @param  array<string, mixed>  $columns */
    public static function correct(Card $card, array $columns): void
    {
        $before = $card->serial_key;
        $card->forceFill($columns)->save();
        CardEvidence::refresh($card);
        if ($before !== $card->serial_key) {
            self::refreshSharing([$before, $card->serial_key], [$card->tag]);
        }
    }

    /** Cards of a form and tier that were bought at a price: what such cards cost has changed. */
    public static function refreshPriced(Form $form, string $currency): void
    {
        Card::query()->where(['form' => $form, 'currency' => $currency])->whereNotNull('price')->each(CardEvidence::refresh(...));
    }

    /**
     * A serial that turns up twice speaks against both cards.
     *
     * @param  list<string|null>  $serials
     * @param  list<string>  $but  tags of cards that are up to date
     */
    private static function refreshSharing(array $serials, array $but): void
    {
        $keys = array_values(array_unique(array_filter($serials, fn (?string $key): bool => $key !== null)));
        $done = array_fill_keys($but, true);
        foreach (array_chunk($keys, self::AT_ONCE) as $chunk) {
            Card::query()->whereIn('serial_key', $chunk)->get()->reject(fn (Card $card): bool => isset($done[$card->tag]))->each(CardEvidence::refresh(...));
        }
    }
}
