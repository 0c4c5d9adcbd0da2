<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

use App\Kit\ChoiceProps;
use App\Models\Ledger\Purchase;
use App\Models\Ledger\PurchaseSaving;
use App\Pages\Page;
use App\Report\PurchaseBook;
use Illuminate\Support\Facades\Date;
use Tally\Quantity\Span;

/** Things that were bought to save time: what was expected, and what the plans that were carried out since then really saved. */
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
            Date::now()->format('Y-m-d'),
            $person ?? '',
        );
    }

    private static function one(Purchase $purchase): PurchaseProps
    {
        $open = PurchaseBook::bringUpToDate($purchase);
        $told = PurchaseSaving::query()->where('purchase_id', $purchase->id)->whereNotNull('seconds')->get();
        $seconds = array_sum($told->map(fn (PurchaseSaving $one): float => $one->seconds ?? 0.0)->all());
        $share = $seconds / 3600 * $purchase->hour / max(1, $purchase->price);
        $hoped = $purchase->hoped();
        $months = $hoped->months();
        $count = $told->count() === 1 ? '1 plan' : "{$told->count()} plans";

        return new PurchaseProps(
            $purchase->id,
            $purchase->tag,
            $purchase->name,
            $purchase->bought_on->format('j M Y'),
            $purchase->cost()->print(),
            self::span($purchase->expected).' of an offload, '.round($purchase->a_month, 1).' a month: '.
                ($months === null ? 'never paid' : 'paid after '.self::months($months)),
            $told->isEmpty() ? 'nothing yet' : self::span($seconds)." of {$count}",
            round($share, 3),
            self::words($seconds, $told->count(), $share),
            $open,
        );
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
