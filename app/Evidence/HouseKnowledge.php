<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\Cards\Card;
use App\Models\Cards\PriceQuote;
use Illuminate\Support\Collection;
use stdClass;
use Tally\Buying\Quote;
use Tally\Buying\Reference;
use Tally\Buying\Tier;
use Tally\Label\Finding;
use Tally\Label\Label;
use Tally\Origin\OriginFindings;
use Tally\Origin\Sisters;
use Tally\Verdict\VerdictKind;

/** What the house already knows that bears on a card: the same codes on other cards, its lot, and what such cards cost. */
final class HouseKnowledge
{
    /** @var array<string, Reference|null> asked for once, however many cards are looked at */
    private array $references = [];

    /**
     * @param  Sisters|null  $sisters  of the card, where they were asked for already
     * @return list<Finding>
     */
    public function findings(Card $card, ?Sisters $sisters = null): array
    {
        $origin = $card->origin();
        $label = $card->label();
        $reference = $origin->price === null ? null : $this->reference($label, $origin->price->currency);

        return OriginFindings::of($label->capacity, $origin, $sisters ?? self::sisters($card), $reference);
    }

    /** What a card of this kind and about this capacity costs; null while too little is known. */
    public function reference(Label $label, string $currency): ?Reference
    {
        $tier = Tier::of($label);
        $kind = "{$label->form->value} {$tier->floor} {$currency} {$label->capacity->count}";
        if (! array_key_exists($kind, $this->references)) {
            $quotes = PriceQuote::query()
                ->where(['form' => $label->form, 'tier' => $tier->floor, 'currency' => $currency])
                ->get();
            $this->references[$kind] = Reference::from(
                array_values($quotes->map(fn (PriceQuote $quote): Quote => $quote->quote())->all()),
                $label->form,
                $tier,
                $currency,
                capacity: $label->capacity,
            );
        }

        return $this->references[$kind];
    }

    /** Also of a card that is still being typed. */
    public static function sisters(Card $card): Sisters
    {
        $but = $card->exists ? $card->id : 0;
        $others = fn (string $column, ?string $key) => Card::query()->toBase()->where($column, $key)->where('id', '!=', $but);
        $asked = array_filter(
            [
                $card->serial_key === null
                    ? null
                    : $others('serial_key', $card->serial_key)->selectRaw("'serial' as what, tag, 0 as cards, 0 as sham"),
                $card->back_code_key === null
                    ? null
                    : $others('back_code_key', $card->back_code_key)->selectRaw("'back code' as what, tag, 0 as cards, 0 as sham"),
                $card->lot_key === null
                    ? null
                    : $others('lot_key', $card->lot_key)->selectRaw(
                        "'lot' as what, '' as tag, count(*) as cards, coalesce(sum(coalesce(overruled, verdict) = ?), 0) as sham",
                        [VerdictKind::Sham->value],
                    ),
            ],
            fn (mixed $query): bool => $query !== null,
        );
        if ($asked === []) {
            return new Sisters();
        }
        // One question to the database, each part of it over its own index.
        $query = array_shift($asked);
        foreach ($asked as $more) {
            $query->unionAll($more);
        }
        $rows = $query->get();
        $lot = (array) $rows->firstWhere('what', 'lot');
        $count = fn (string $field): int => is_numeric($lot[$field] ?? null) ? (int) $lot[$field] : 0;
        $itself = $lot !== [] && $card->exists && ($card->overruled ?? $card->verdict) === VerdictKind::Sham ? 1 : 0;

        return new Sisters(
            self::tags($rows, 'serial'),
            self::tags($rows, 'back code'),
            $lot === [] ? 0 : $count('cards') + 1,
            $count('sham') + $itself,
            otherSham: $count('sham'),
        );
    }

    /**
     * @param  Collection<int, stdClass>  $rows
     * @return list<string>
     */
    private static function tags(Collection $rows, string $what): array
    {
        return array_values(array_filter($rows->where('what', $what)->sortBy('tag')->pluck('tag')->all(), is_string(...)));
    }
}
