<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

use App\Kit\ChoiceProps;
use App\Models\Ledger\Purchase;
use App\Models\Ledger\PurchaseSaving;
use App\Models\When;
use App\Pages\Page;
use App\Report\PurchaseBook;
use Illuminate\Support\Facades\Date;
use Tally\Quantity\Span;

/**
 * Things that were bought to save time: what was expected, and what the plans that were carried out since then really saved.
 *
 * @phpstan-type PurchaseProps array{ // A thing that was bought: what was expected, and what it really saved.
 *     id: int,
 *     tag: string,
 *     name: string,
 *     on: string,
 *     price: string,
 *     hoped: string, // what was expected when it was bought
 *     saved: string, // what it saved since
 *     share: float, // of its price that it brought back; may be more than 1, or less than none
 *     words: string, // whether it was worth it, as far as can be told
 *     open: int, // plans that are still to be reckoned
 * }
 */
final readonly class WorthPage extends Page
{
    /**
     * @param  list<PurchaseProps>  $purchases  the newest first
     * @param  list<ChoiceProps>  $kit
     */
    public function __construct(public array $purchases, public array $kit, public string $today, public string $person) {}

    public static function of(?string $person): self
    {
        $kit = PurchaseBook::kit();
        $purchases = Purchase::query()->latest('bought_on')->latest('id')->get();

        return new self(
            array_values($purchases->map(self::one(...))->all()),
            array_map(
                fn (string $tag, string $name): ChoiceProps => new ChoiceProps($tag, "{$tag} {$name}", []),
                array_map(strval(...), array_keys($kit)),
                array_values($kit),
            ),
            Date::now()->format(When::ISO_DAY),
            $person ?? '',
        );
    }

    /** @return PurchaseProps */
    private static function one(Purchase $purchase): array
    {
        $open = PurchaseBook::bringUpToDate($purchase);
        $told = PurchaseSaving::query()->where('purchase_id', $purchase->id)->whereNotNull('seconds')->get();
        $seconds = array_sum($told->map(fn (PurchaseSaving $one): float => $one->seconds ?? 0.0)->all());
        $share = $seconds / 3600 * $purchase->hour / max(1, $purchase->price);
        $hoped = $purchase->hoped();
        $months = $hoped->months();
        $count = $told->count() === 1 ? '1 plan' : "{$told->count()} plans";

        return [
            'id' => $purchase->id,
            'tag' => $purchase->tag,
            'name' => $purchase->name,
            'on' => $purchase->bought_on->format(When::DAY),
            'price' => $purchase->cost()->print(),
            'hoped' => self::span($purchase->expected).' of an offload, '.round($purchase->a_month, 1).' a month: '.
                ($months === null ? 'never paid' : 'paid after '.self::months($months)),
            'saved' => $told->isEmpty() ? 'nothing yet' : self::span($seconds)." of {$count}",
            'share' => round($share, 3),
            'words' => self::words($seconds, $told->count(), $share),
            'open' => $open,
        ];
    }

    private static function words(float $seconds, int $count, float $share): string
    {
        $percent = floor(100 * $share);

        return match (true) {
            $count === 0 => 'No plan that uses it was carried out since then, or none that could have gone without it.',
            $seconds <= 0 => 'Not so far: without it these would have been no later.',
            $share >= 1 => "Yes: it brought back {$percent} % of its price.",
            default => "Not yet: it brought back {$percent} % of its price.",
        };
    }

    private static function span(float $seconds): string
    {
        return ($seconds < 0 ? 'minus ' : '').Span::seconds(round(abs($seconds)))->print();
    }

    private static function months(float $months): string
    {
        return $months < 1 ? 'less than a month' : (round($months) === 1.0 ? 'a month' : round($months).' months');
    }
}
