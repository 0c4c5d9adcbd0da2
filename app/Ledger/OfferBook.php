<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Cards\Card;
use App\Models\Cards\PriceQuote;
use App\Models\Kit\ReaderSlot;
use App\Models\When;
use Tally\Buying\Offer;
use Tally\Buying\Price;
use Tally\Label\Bus;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Label\MarkKind;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Verdict\VerdictKind;

/**
 * Models that can be bought, from what the house paid and was quoted, and what its own cards of them were found to be. The same name
 * from two sellers is two models: what one sells says nothing of the other.
 */
final readonly class OfferBook
{
    /** @return list<Offer> of one currency */
    public static function of(string $currency, ?Price $reader): array
    {
        $buses = self::buses();
        $readerOf = fn (Label $label): ?Price => self::needsReader($label, $buses) ? $reader : null;
        $quotes = self::quotes($currency);
        $offers = [];
        foreach (self::owned($currency) as $key => $row) {
            $card = $row['card'];
            $quote = $quotes[$key] ?? null;
            unset($quotes[$key]);
            $isNewer = $quote !== null && ($card->bought_on === null || $quote->quoted_on->greaterThan($card->bought_on));
            $price = $isNewer ? Price::of($quote->price, $quote->currency) : $card->origin()->price;
            if ($price !== null) {
                $offers[] = new Offer(
                    $card->name,
                    $card->seller ?? '',
                    $card->label(),
                    $price,
                    on: ($isNewer ? $quote->quoted_on : $card->bought_on)?->format(When::DAY) ?? 'no day',
                    keepsUp: $row['keepsUp'],
                    owned: $row['owned'],
                    tested: $row['tested'],
                    failed: $row['failed'],
                    isStruckOut: $row['isStruckOut'],
                    reader: $readerOf($card->label()),
                );
            }
        }
        foreach ($quotes as $quote) {
            $offer = self::labelOnly($quote, null);
            $offers[] = self::labelOnly($quote, $readerOf($offer->label));
        }

        return $offers;
    }

    /** The currency that most of its cards were paid in. */
    public static function currency(): string
    {
        $most = Card::query()
            ->whereNotNull('currency')
            ->groupBy('currency')
            ->orderByRaw('count(*) desc')
            ->value('currency');

        return is_string($most) ? $most : config()->string('tally.currency');
    }

    /** @return list<Bus> that some reader of the house speaks */
    public static function buses(): array
    {
        return array_values(ReaderSlot::query()->get()->flatMap(fn (ReaderSlot $slot): array => $slot->buses->all())->unique()->all());
    }

    /** @param  list<Bus>  $buses */
    public static function needsReader(Label $label, array $buses): bool
    {
        return $label->settleIn($buses) === null;
    }

    /** @return array<string, array{card: Card, keepsUp: Rate|null, owned: int, tested: int, failed: int, isStruckOut: bool}> */
    private static function owned(string $currency): array
    {
        $verdict = 'coalesce(overruled, verdict)';
        $rows = Card::query()
            ->toBase()
            ->where('currency', $currency)
            ->whereNotNull('price')
            ->groupBy('name', 'capacity', 'seller')
            ->selectRaw('name, capacity, seller, count(*) as owned, count(keeps_up) as tested, min(keeps_up) as keeps_up')
            ->selectRaw("sum({$verdict} = ?) as sham, sum({$verdict} = ?) as shaky, sum({$verdict} = ?) as slow", [
                VerdictKind::Sham->value,
                VerdictKind::Shaky->value,
                VerdictKind::Slow->value,
            ])
            // The one that was paid for last says what is on the label and what it costs.
            ->selectRaw("substring_index(group_concat(id order by bought_on desc, id desc), ',', 1) as newest")
            ->get();
        $cards = Card::query()->whereKey($rows->pluck('newest')->all())->get()->keyBy('id');
        $owned = [];
        foreach ($rows as $row) {
            $number = fn (string $column): int => is_numeric($row->{$column} ?? null) ? (int) $row->{$column} : 0;
            $card = $cards[$number('newest')] ?? null;
            if ($card !== null) {
                $owned[self::key($card->name, $card->capacity, $card->seller ?? '')] = [
                    'card' => $card,
                    'keepsUp' => is_numeric($row->keeps_up ?? null) ? Rate::bytesPerSecond((float) $row->keeps_up) : null,
                    'owned' => $number('owned'),
                    'tested' => $number('tested'),
                    'failed' => $number('sham') + $number('shaky') + $number('slow'),
                    // One card may have been dropped; half of them were not.
                    'isStruckOut' => $number('sham') > 0 || 2 * $number('shaky') >= $number('owned'),
                ];
            }
        }

        return $owned;
    }

    /** @return array<string, PriceQuote> the newest of each model and seller that a quote names */
    private static function quotes(string $currency): array
    {
        $quotes = [];
        $named = PriceQuote::query()->where('currency', $currency)->whereNotNull('model');
        foreach ($named->orderBy('quoted_on')->orderBy('id')->get() as $one) {
            $quotes[self::key($one->model ?? '', $one->capacity, $one->source)] = $one;
        }

        return $quotes;
    }

    /** What nobody here has tested: the label alone, as its quote has it. */
    private static function labelOnly(PriceQuote $quote, ?Price $reader): Offer
    {
        $marks = array_filter(
            Mark::cases(),
            fn (Mark $mark): bool => (int) $mark->floor()->megabytes() === $quote->tier && $mark->kind() !== MarkKind::AppClass,
        );
        $label = new Label($quote->form, $quote->capacity, marks: array_slice(array_reverse($marks), 0, 1));

        return new Offer(
            $quote->model ?? '',
            $quote->source,
            $label,
            Price::of($quote->price, $quote->currency),
            on: $quote->quoted_on->format(When::DAY),
            reader: $reader,
        );
    }

    private static function key(string $name, Bytes $capacity, string $seller): string
    {
        return mb_strtolower("{$name} {$capacity->count} {$seller}");
    }
}
