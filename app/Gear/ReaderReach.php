<?php

declare(strict_types=1);

namespace App\Gear;

use App\Models\Card;
use App\Models\Run;
use App\Models\SlotKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use stdClass;
use Tally\Measured\Reached;
use Tally\Quantity\Rate;

/** What this house has seen its readers carry. A stand-in says nothing of a reader: it was never in one. */
final readonly class ReaderReach
{
    /**
     * With other cards than this one, in the readers that it was measured in: the most over each kind of link.
     *
     * @param  Collection<int, Run>  $runs  of the card
     * @return list<Reached>
     */
    public static function besides(Card $card, Collection $runs): array
    {
        $readers = $runs->pluck('reader_id')->filter()->unique()->values()->all();
        if ($readers === []) {
            return [];
        }
        $seen = Run::query()->whereIn('reader_id', $readers)->where('card_id', '!=', $card->id)
            ->whereNotNull('carried')->whereNull('beside')->whereDoesntHave('void')
            ->where(fn (Builder $query): Builder => $query->whereNull('slot_id')->orWhereHas('slot', fn (Builder $slot): Builder => $slot->where('kind', '!=', SlotKind::StandIn)))
            ->toBase()->join('readers', 'readers.id', '=', 'runs.reader_id')
            ->selectRaw('readers.tag, runs.carried_over, max(runs.carried) as carried')->groupBy('readers.tag', 'runs.carried_over')->orderBy('readers.tag')->get();
        $rate = fn (mixed $value): ?Rate => is_numeric($value) && $value > 0 ? Rate::bytesPerSecond((float) $value) : null;
        $found = $seen->map(function (stdClass $row) use ($rate): ?Reached {
            $carried = $rate($row->carried ?? null);

            return $carried === null || ! is_string($row->tag ?? null) ? null : new Reached($row->tag, $carried, $rate($row->carried_over ?? null), 'as this house has seen');
        });

        return array_values($found->filter()->all());
    }
}
