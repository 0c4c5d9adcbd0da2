<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\Card;
use App\Models\PriceQuote;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Tally\Buying\Quote;
use Tally\Buying\Reference;
use Tally\Buying\Tier;
use Tally\Label\Finding;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Origin\Origin;
use Tally\Origin\OriginFindings;
use Tally\Origin\Sisters;
use Tally\Verdict\VerdictKind;

/** What the house already knows that bears on a card: the same codes on other cards, its lot, and what such cards cost. */
final readonly class Acquaintance
{
    /** @return list<Finding> */
    public static function findings(Card $card): array
    {
        return self::of($card->label(), $card->origin(), self::sisters($card));
    }

    /** @return list<Finding> */
    public static function of(Label $label, Origin $origin, Sisters $sisters): array
    {
        $reference = $origin->price === null ? null : self::reference($label->form, Tier::of($label), $origin->price->currency);

        return OriginFindings::of($label->capacity, $origin, $sisters, $reference);
    }

    /** Also of a card that is still being typed. */
    public static function sisters(Card $card): Sisters
    {
        $keys = array_filter(['serial_key' => $card->serial_key, 'back_code_key' => $card->back_code_key, 'lot_key' => $card->lot_key], fn (?string $key): bool => $key !== null);
        if ($keys === []) {
            return new Sisters;
        }
        $others = Card::query()->select(['tag', 'verdict', 'serial_key', 'back_code_key', 'lot_key'])->orderBy('tag')
            ->when($card->exists, fn (Builder $query): Builder => $query->whereKeyNot($card->id))
            ->where(function (Builder $query) use ($keys): void {
                foreach ($keys as $column => $key) {
                    $query->orWhere($column, $key);
                }
            })
            ->toBase()->get();
        $sharing = fn (string $column): Collection => isset($keys[$column]) ? $others->where($column, $keys[$column]) : new Collection;
        $tags = fn (string $column): array => array_values(array_filter($sharing($column)->pluck('tag')->all(), is_string(...)));
        $lot = $sharing('lot_key');
        $sham = $lot->where('verdict', VerdictKind::Sham->value)->count();
        $itself = $card->exists && $card->verdict === VerdictKind::Sham ? 1 : 0;

        return new Sisters($tags('serial_key'), $tags('back_code_key'), isset($keys['lot_key']) ? $lot->count() + 1 : 0, $sham + $itself, $sham);
    }

    public static function reference(Form $form, Tier $tier, string $currency): ?Reference
    {
        $quotes = PriceQuote::query()->where(['form' => $form, 'tier' => $tier->floor, 'currency' => $currency])->get();

        return Reference::from(array_values($quotes->map(fn (PriceQuote $quote): Quote => $quote->quote())->all()), $form, $tier, $currency);
    }
}
