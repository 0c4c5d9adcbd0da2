<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Cards\Card;
use App\Models\Cards\FootageAct;
use App\Models\Offload\CopyState;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Whether the footage that a card carries now is secured: two copies of it, on two drives, have been read back. */
final readonly class Secured
{
    /** @return OffloadCard|null the offload that brought home what is on it now; null where it is not secured */
    public static function of(Card $card): ?OffloadCard
    {
        if ($card->footage->isZero()) {
            return null;
        }
        $marked = FootageAct::query()->where('card_id', $card->id)->where('bytes', '>', 0)->max('id');
        $since = FootageAct::query()->whereKey($marked)->value('created_at');

        return OffloadCard::query()
            ->with(['copies', 'offload'])
            ->where('card_id', $card->id)
            ->whereNotNull('clear_at')
            // What was made up secures made-up cards alone.
            ->when($card->stand_in === null, fn ($cards) => $cards->whereHas('offload', fn ($one) => $one->where('is_made_up', false)))
            ->when($since !== null, fn ($cards) => $cards->where('clear_at', '>=', $since))
            ->latest('id')
            ->first();
    }

    /** What is noted when such a card is cleared. */
    public static function note(OffloadCard $home): string
    {
        $drives = $home->copies
            ->filter(fn (OffloadCopy $copy): bool => $copy->state === CopyState::Verified)
            ->map(fn (OffloadCopy $copy): string => $copy->drive)
            ->implode(' and ');

        return "on {$drives}, read back: {$home->offload->name}, {$home->offload->began_at->format('j M Y')}";
    }

    /** For lists of cards: when the newest copies of each were secured, and when its footage was marked. */
    public static function times(): Builder
    {
        return DB::table('offload_cards')
            ->join('offloads', 'offloads.id', '=', 'offload_cards.offload_id')
            ->join('cards as home', 'home.id', '=', 'offload_cards.card_id')
            ->selectRaw('card_id, max(clear_at) as secured_at')
            ->whereNotNull('clear_at')
            ->where(fn (Builder $some): Builder => $some->where('is_made_up', false)->orWhereNotNull('home.stand_in'))
            ->groupBy('card_id');
    }

    /** When the footage of each card was marked last. */
    public static function marked(): Builder
    {
        return DB::table('footage_acts')->selectRaw('card_id, max(created_at) as marked_at')->where('bytes', '>', 0)->groupBy('card_id');
    }
}
