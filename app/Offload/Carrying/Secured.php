<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Cards\Card;
use App\Models\Cards\FootageAct;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\When;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Whether the footage that a card carries now is secured: two copies of it, on two drives, have been read back. Which footage it is
 * goes by its record in the books, and not by any clock.
 */
final readonly class Secured
{
    /** @return OffloadCard|null the offload that brought home what is on it now; null where it is not secured */
    public static function of(Card $card): ?OffloadCard
    {
        return self::broughtHome($card, fn ($cards) => $cards->whereNotNull('clear_at'));
    }

    /** @return OffloadCard|null that brought home less of it than was marked, and somebody said that this is right */
    public static function partly(Card $card): ?OffloadCard
    {
        return self::broughtHome($card, fn ($cards) => $cards->whereNotNull('less_by')->whereNotNull('free_at'));
    }

    /** @param  callable(\Illuminate\Database\Eloquent\Builder<OffloadCard>): mixed  $how */
    private static function broughtHome(Card $card, callable $how): ?OffloadCard
    {
        $act = self::record($card);
        if ($act === null) {
            return null;
        }

        return OffloadCard::query()
            ->with(['copies', 'offload.station'])
            ->where('card_id', $card->id)
            ->where('footage_act_id', $act->id)
            ->tap($how)
            // What was made up secures made-up cards alone.
            ->when($card->stand_in === null, fn ($cards) => $cards->whereHas('offload', fn ($one) => $one->where('is_made_up', false)))
            ->latest('id')
            ->first();
    }

    /** @return FootageAct|null the record of what is on it now; null where it was cleared, or never marked */
    public static function record(Card $card): ?FootageAct
    {
        $newest = FootageAct::query()->where('card_id', $card->id)->latest('id')->first();

        return $newest === null || $newest->bytes === 0 ? null : $newest;
    }

    /** What is noted when such a card is cleared: of each copy that counts where it lies, and what was found there last. */
    public static function note(OffloadCard $home): string
    {
        $copies = array_map(
            fn (OffloadCopy $copy): string => "on {$copy->drive}, ".
                ($copy->standing?->words($copy->standing_at?->format(When::MOMENT) ?? '') ?? 'read back'),
            Standing::counting($home),
        );

        return mb_substr(implode('; ', $copies).": {$home->offload->name}, {$home->offload->began_at->format(When::DAY)}", 0, 300);
    }

    /** For lists of cards: the record of the footage that was secured last, and of that which was secured in part. */
    public static function records(): Builder
    {
        return DB::table('offload_cards')
            ->join('offloads', 'offloads.id', '=', 'offload_cards.offload_id')
            ->join('cards as home', 'home.id', '=', 'offload_cards.card_id')
            ->selectRaw('card_id, max(if(clear_at is null, null, footage_act_id)) as secured_act')
            ->selectRaw('max(if(less_by is null or free_at is null, null, footage_act_id)) as partly_act')
            ->whereNotNull('footage_act_id')
            ->where(fn (Builder $some): Builder => $some->where('is_made_up', false)->orWhereNotNull('home.stand_in'))
            ->groupBy('card_id');
    }

    /** The record of the footage of each card that was marked last. */
    public static function marked(): Builder
    {
        return DB::table('footage_acts')->selectRaw('card_id, max(id) as marked_act')->where('bytes', '>', 0)->groupBy('card_id');
    }
}
