<?php

declare(strict_types=1);

namespace App\Intake;

use App\Evidence\CardEvidence;
use App\Evidence\HouseKnowledge;
use App\Models\Cards\Card;
use App\Models\Cards\Correction;
use App\Models\Cards\FootageAct;
use App\Models\Cards\PriceQuote;
use App\Models\Ledger\BookLine;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
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
        $laden = [];
        foreach (array_chunk($cards, self::AT_ONCE) as $chunk) {
            Card::query()->insert(
                array_map(function (array $columns) use ($by, $now, &$tags, &$serials, &$laden): array {
                    $card = (new Card())->forceFill([
                        ...$columns,
                        'verdict' => VerdictKind::Unproven,
                        'next_step' => Step::Inspect,
                        'recorded_by' => $by,
                        'created_at' => $now,
                        'updated_at' => $now,
                    ]);
                    $card->derive();
                    [$tags[], $serials[]] = [$card->tag, $card->serial_key];
                    if (! $card->footage->isZero()) {
                        $laden[$card->tag] = $card->footage->count;
                    }

                    return $card->getAttributes();
                }, $chunk),
            );
        }
        foreach ($laden === [] ? [] : Card::query()->whereIn('tag', array_keys($laden))->pluck('id', 'tag') as $tag => $id) {
            FootageAct::query()->create([
                'card_id' => $id,
                'bytes' => $laden[$tag],
                'note' => 'when it was entered',
                'recorded_by' => $by ?? 'nobody named',
                'created_at' => now(),
            ]);
        }
        // Only once all of them stand there: cards of one batch may share a code.
        $house = new HouseKnowledge();
        foreach (array_chunk($tags, self::AT_ONCE) as $chunk) {
            $entered = Card::query()->whereIn('tag', $chunk)->get()->toBase();
            self::tell($entered, $by);
            CardEvidence::refreshNew($entered, $house);
        }
        self::refreshSharing($serials, $tags);
    }

    /**
     * A line of the books for each; cards that are entered many at once are not saved one by one.
     *
     * @param  Collection<int, Card>  $cards
     */
    private static function tell(Collection $cards, ?string $by): void
    {
        BookLine::query()->insert(
            $cards
                ->map(fn (Card $card): array => [
                    'log_name' => 'books',
                    'description' => "card {$card->tag}",
                    'event' => 'created',
                    'subject_type' => Card::class,
                    'subject_id' => (string) $card->id,
                    'card_id' => $card->id,
                    'who' => $by === null ? null : mb_substr($by, 0, 80),
                    'properties' => json_encode(['attributes' => $card->told()], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
                    'created_at' => now(),
                    'updated_at' => now(),
                ])
                ->all(),
        );
    }

    /**
     * Corrects the label. Footage is no part of it: that is said and cleared by acts of their own.
     *
     * @param  array<string, mixed>  $columns
     * @param  int|null  $seen  the revision that was corrected
     *
     * @throws ValidationException when somebody else saved in between
     */
    public static function correct(Card $card, array $columns, ?int $seen, ?string $by): void
    {
        StaleSave::mustNotBe(self::locked($card), $seen);
        self::change($card, $columns, $by);
    }

    /**
     * Changes what is known of the label, whatever it was before: what was seen on the card itself.
     *
     * @param  array<string, mixed>  $columns
     */
    public static function change(Card $card, array $columns, ?string $by): void
    {
        $card->setRawAttributes(self::locked($card)->getAttributes(), true);
        $before = $card->serial_key;
        $was = self::cells($card);
        $card->forceFill(array_diff_key($columns, ['footage' => 0]));
        $changes = [];
        foreach (self::cells($card) as $field => $after) {
            if ($was[$field] !== $after) {
                $changes[$field] = [$was[$field], $after];
            }
        }
        $card->revision += $changes === [] ? 0 : 1;
        $card->save();
        if ($changes !== []) {
            Correction::query()->create([
                'card_id' => $card->id,
                'revision' => $card->revision,
                'changes' => $changes,
                'recorded_by' => $by,
                'created_at' => now(),
            ]);
        }
        CardEvidence::refresh($card);
        if ($before !== $card->serial_key) {
            self::refreshSharing([$before, $card->serial_key], [$card->tag]);
        }
    }

    /** As it stands in the books, and nobody else's for the length of this transaction. */
    private static function locked(Card $card): Card
    {
        return Card::query()->whereKey($card->id)->lockForUpdate()->firstOrFail();
    }

    /** @return array<string, string> field → as it is shown */
    private static function cells(Card $card): array
    {
        $cells = [];
        foreach (CardField::cases() as $field) {
            $cells[$field->value] = CardTable::cell($card, $field);
        }

        return $cells;
    }

    /**
     * Those that may be cheap by what such cards cost, now that a quote came or went; no other verdict hangs on it. The median, before
     * and after, is no higher than the dearest of them, and half of it is where cheap begins (core/Origin/OriginFindings).
     */
    public static function refreshPriced(PriceQuote $quote): void
    {
        $alike = ['form' => $quote->form, 'currency' => $quote->currency];
        $dearest = PriceQuote::query()->where($alike)->where('tier', $quote->tier)->max(DB::raw('price / capacity'));
        $perByte = max(is_numeric($dearest) ? (float) $dearest : 0.0, $quote->price / $quote->capacity->count);
        Card::query()
            ->where($alike)
            ->whereRaw('price <= capacity * ? / 2', [$perByte])
            ->each(CardEvidence::refresh(...));
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
            Card::query()
                ->whereIn('serial_key', $chunk)
                ->get()
                ->reject(fn (Card $card): bool => isset($done[$card->tag]))
                ->each(CardEvidence::refresh(...));
        }
    }
}
