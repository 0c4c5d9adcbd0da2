<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\Kit\Drive;
use App\Models\Kit\Reader;
use App\Models\Ledger\Purchase;
use App\Models\Ledger\PurchaseSaving;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Carbon;
use Tally\Buying\Price;
use Tally\Offload\Without;

/**
 * Was it worth it? Of each plan that was carried out since a thing is here: how long the best plan without it would have taken, less
 * what it really took. Made-up offloads are to practise with, and save nobody anything.
 */
final readonly class PurchaseBook
{
    /** Seconds after which a page has reckoned enough; the rest is reckoned when somebody looks again. */
    private const LONG = 0.5;

    /** @return array<string, string> tag → name, of what may have been bought to save time */
    public static function kit(): array
    {
        $kit = [];
        foreach ([Reader::query()->orderBy('tag')->get(), Drive::query()->orderBy('tag')->get()] as $of) {
            foreach ($of as $one) {
                $kit[$one->tag] = $one->name;
            }
        }

        return $kit;
    }

    public static function enter(
        string $tag,
        Price $price,
        Price $hour,
        float $expected,
        float $aMonth,
        Carbon $on,
        string $by,
    ): Purchase {
        return Purchase::query()->create([
            'tag' => $tag,
            'name' => self::kit()[$tag] ?? $tag,
            'price' => $price->minor,
            'currency' => $price->currency,
            'hour' => $hour->minor,
            'expected' => $expected,
            'a_month' => $aMonth,
            'bought_on' => $on,
            'by' => $by,
            'written_at' => now(),
        ]);
    }

    /** Reckons what is new since it was last looked at. @return int plans that are still to be reckoned */
    public static function bringUpToDate(Purchase $purchase): int
    {
        $of = PurchaseSaving::query()->where('purchase_id', $purchase->id)->get();
        $known = $of->map(fn (PurchaseSaving $one): string => $one->what)->all();
        $todo = array_values(array_diff(CarriedHome::since($purchase->bought_on), $known));
        $until = hrtime(true) + self::LONG * 1e9;
        foreach ($todo as $at => $what) {
            if (hrtime(true) > $until) {
                return count($todo) - $at;
            }
            try {
                PurchaseSaving::query()->create([
                    'purchase_id' => $purchase->id,
                    'what' => $what,
                    'seconds' => self::saved($purchase, CarriedHome::find($what)),
                ]);
            } catch (UniqueConstraintViolationException) {
                // Two pages looked at once; both reckoned the same.
            }
        }

        return 0;
    }

    private static function saved(Purchase $purchase, ?CarriedHome $home): ?float
    {
        $plan = $home?->plan;
        if ($home === null || $plan === null || $home->isMadeUp) {
            return null;
        }
        $uses = array_filter(
            $plan->decision->cards,
            fn ($card): bool => str_starts_with($card->slot, "{$purchase->tag} ") || in_array($purchase->tag, $card->drives, true),
        );
        $without = $uses === [] ? null : Without::seconds($plan->question, $plan->goal, $purchase->tag);

        return $without === null ? null : $without - $home->took;
    }
}
