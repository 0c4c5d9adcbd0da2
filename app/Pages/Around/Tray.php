<?php

declare(strict_types=1);

namespace App\Pages\Around;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Offload\Carrying\Secured;
use App\Props\Frame\TagProps;
use App\Runs\RunState;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Tally\Verdict\VerdictKind;

/** The cards at the left of every page. A page asks for all of them once, and then for those that changed. */
final readonly class Tray
{
    /** What was begun so long before an answer may be written down after it; it is told again. Seconds. */
    private const LATE = 30;

    /** By which the next question says what it knows: a moment of the database's own clock. */
    public static function mark(): string
    {
        $row = DB::selectOne('SELECT NOW(6) - INTERVAL '.self::LATE.' SECOND AS mark');

        return $row instanceof stdClass && is_string($row->mark) ? $row->mark : '';
    }

    /** Cards in it. */
    public static function size(): int
    {
        return Card::query()->toBase()->count();
    }

    /** @return list<TagProps> */
    public static function all(): array
    {
        return self::rows(fn (Builder $cards): Builder => $cards);
    }

    /**
     * Those that changed since, and those of their lots, whose warning may have changed with them.
     *
     * @return list<TagProps>
     */
    public static function since(string $mark): array
    {
        $changed = Card::query()
            ->toBase()
            ->where('changed_at', '>', $mark)
            ->get(['id', 'lot_key']);
        if ($changed->isEmpty()) {
            return [];
        }
        $lots = $changed->pluck('lot_key')->filter()->unique()->values();

        return self::rows(
            fn (Builder $cards): Builder => $cards->where(
                fn (Builder $some): Builder => $some->whereIn('cards.id', $changed->pluck('id'))->orWhereIn('cards.lot_key', $lots),
            ),
        );
    }

    /**
     * Plain rows, since a house has thousands of cards.
     *
     * @param  callable(Builder): Builder  $which
     * @return list<TagProps>
     */
    private static function rows(callable $which): array
    {
        $lots = Card::query()
            ->toBase()
            ->selectRaw('lot_key, count(*) as lot_size, sum(coalesce(overruled, verdict) = ?) as lot_sham', [VerdictKind::Sham->value])
            ->whereNotNull('lot_key')
            ->groupBy('lot_key');
        $going = array_map(fn (RunState $state): string => $state->value, RunState::going());
        $runs = Run::query()->toBase()->selectRaw('card_id, count(*) as runs, sum(state in (?, ?)) as going', $going)->groupBy('card_id');
        $rows = $which(
            Card::query()
                ->toBase()
                ->select(['tag', 'line', 'verdict', 'overruled', 'lot_size', 'lot_sham', 'runs', 'going'])
                ->addSelect(['footage', 'secured_act', 'partly_act', 'marked_act', 'retired_on'])
                ->selectRaw('due_on <= ? as due', [now()->format('Y-m-d')])
                ->leftJoinSub($lots, 'lots', 'lots.lot_key', '=', 'cards.lot_key')
                ->leftJoinSub($runs, 'counted', 'counted.card_id', '=', 'cards.id')
                ->leftJoinSub(Secured::records(), 'secured', 'secured.card_id', '=', 'cards.id')
                ->leftJoinSub(Secured::marked(), 'marked', 'marked.card_id', '=', 'cards.id'),
        )
            ->orderBy('tag')
            ->get();

        return array_values($rows->map(fn (object $row): TagProps => self::tag((array) $row))->all());
    }

    /** @param  array<mixed>  $row */
    private static function tag(array $row): TagProps
    {
        $text = fn (string $field): string => is_string($row[$field] ?? null) ? $row[$field] : '';
        $count = fn (string $field): int => is_numeric($row[$field] ?? null) ? (int) $row[$field] : 0;

        return new TagProps(
            $text('tag'),
            $text('line'),
            VerdictKind::from($text('verdict')),
            VerdictKind::tryFrom($text('overruled')),
            $count('runs'),
            $count('going') > 0,
            $count('lot_sham') === 0 ? null : "{$count('lot_sham')} of {$count('lot_size')}",
            match (true) {
                $count('footage') === 0 => null,
                $count('marked_act') > 0 && $count('secured_act') === $count('marked_act') => 'may be cleared',
                $count('marked_act') > 0 && $count('partly_act') === $count('marked_act') => 'partly secured',
                default => 'not secured',
            },
            $count('due') > 0,
            $text('retired_on') !== '',
        );
    }
}
