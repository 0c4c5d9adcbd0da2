<?php

declare(strict_types=1);

namespace App\Gear;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Stations\SlotKind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use stdClass;
use Tally\Measured\Reached;
use Tally\Quantity\Rate;

/** What this house has seen its readers carry. A stand-in says nothing of a reader: it was never in one. */
final readonly class ReaderReach
{
    /** @return list<Reached> with other cards than this one: the most over each kind of link */
    public static function besides(Card $card): array
    {
        $seen = self::telling()
            ->where('card_id', '!=', $card->id)
            ->toBase()
            ->join('readers', 'readers.id', '=', 'runs.reader_id')
            ->selectRaw('readers.tag, runs.carried_over, max(runs.carried) as carried')
            ->groupBy('readers.tag', 'runs.carried_over')
            ->orderBy('readers.tag')
            ->get();
        $found = $seen->map(function (stdClass $row): ?Reached {
            $carried = self::rate($row->carried ?? null);

            return $carried === null || ! is_string($row->tag ?? null)
                ? null
                : new Reached($row->tag, $carried, self::rate($row->carried_over ?? null));
        });

        return array_values($found->filter()->all());
    }

    /**
     * Of all cards at once, in one question to the books.
     *
     * @return list<array{int, Reached}> with which card, and what
     */
    public static function byCard(): array
    {
        $found = [];
        $seen = self::telling()
            ->toBase()
            ->join('readers', 'readers.id', '=', 'runs.reader_id')
            ->selectRaw('runs.card_id, readers.tag, runs.carried_over, max(runs.carried) as carried')
            ->groupBy('runs.card_id', 'readers.tag', 'runs.carried_over')
            ->orderBy('readers.tag')
            ->get();
        foreach ($seen as $row) {
            $carried = self::rate($row->carried ?? null);
            if ($carried !== null && is_string($row->tag ?? null) && is_numeric($row->card_id ?? null)) {
                $found[] = [(int) $row->card_id, new Reached($row->tag, $carried, self::rate($row->carried_over ?? null))];
            }
        }

        return $found;
    }

    /**
     * @param  list<array{int, Reached}>  $all
     * @return list<Reached> with other cards than this one
     */
    public static function others(array $all, Card $card): array
    {
        return array_values(
            array_map(fn (array $one): Reached => $one[1], array_filter($all, fn (array $one): bool => $one[0] !== $card->id)),
        );
    }

    private static function rate(mixed $value): ?Rate
    {
        return is_numeric($value) && $value > 0 ? Rate::bytesPerSecond((float) $value) : null;
    }

    /**
     * The cards whose verdict may hang on what a run showed of its reader: others were measured in it, and none but this run
     * showed as much.
     *
     * @return Collection<int, Card>
     */
    public static function concerned(Run $run): Collection
    {
        if ($run->reader_id === null || $run->carried === null || $run->slot?->kind === SlotKind::Simulated) {
            return new Collection();
        }
        $others = self::telling()->where('reader_id', $run->reader_id)->where('carried_over', $run->carried_over)->whereKeyNot($run->id);
        if ($others->where('carried', '>=', $run->carried)->exists()) {
            return new Collection();
        }

        return Card::query()
            ->whereKeyNot($run->card_id)
            ->whereHas('runs', fn (Builder $runs): Builder => $runs->where('reader_id', $run->reader_id))
            ->orderBy('id')
            ->get()
            ->toBase();
    }

    /** @return Builder<Run> whose figures tell of their reader */
    private static function telling(): Builder
    {
        return Run::query()
            ->whereNotNull('carried')
            ->whereNull('beside')
            ->whereDoesntHave('void')
            ->where(
                fn (Builder $query): Builder => $query
                    ->whereNull('slot_id')
                    ->orWhereHas('slot', fn (Builder $slot): Builder => $slot->where('kind', '!=', SlotKind::Simulated)),
            );
    }
}
