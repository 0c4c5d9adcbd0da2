<?php

declare(strict_types=1);

namespace App\Pages\Around;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\When;
use App\Offload\Carrying\Secured;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;
use Tally\Verdict\VerdictKind;

/**
 * The cards at the left of every page. A page asks for them once, and then for those that changed. A house that has more than a page can
 * hold gives the first of them, and any other when it is looked for.
 *
 * @phpstan-type TagProps array{ // A card in the tray.
 *     tag: string,
 *     line: string,
 *     verdict: VerdictKind,
 *     overruled: VerdictKind|null,
 *     runs: int,
 *     going: bool,
 *     badLot: string|null, // how many of its lot are Sham, such as “2 of 5”; null when none is
 *     footage: string|null, // “not secured” or “may be cleared”; null where it carries none
 *     due: bool, // whether it is to be tested again today
 *     retired: bool, // whether it is out of service
 * }
 */
final readonly class Tray
{
    /** What was begun so long before an answer may be written down after it; it is told again. Seconds. */
    public const LATE = 30;

    /** So many a page holds. */
    public const HELD = 2000;

    /** So many are given to one search. */
    private const FOUND = 100;

    /** So many before the open card, and after it. */
    private const NEIGHBOURS = 30;

    /** By which the next question says what it knows: a moment of the database's own clock. */
    public static function mark(): string
    {
        $row = DB::selectOne('SELECT NOW(6) - INTERVAL '.self::LATE.' SECOND AS mark');

        return $row instanceof stdClass && is_string($row->mark) ? $row->mark : '';
    }

    /** @return list<TagProps> */
    public static function first(): array
    {
        return self::rows(self::ids(self::cards()->limit(self::HELD)));
    }

    /**
     * Those that changed since, and those of their lots, whose warning may have changed with them.
     *
     * @return list<TagProps>|null null where there are more of them than a page holds
     */
    public static function since(string $mark): ?array
    {
        $changed = self::cards()->where('changed_at', '>', $mark)->limit(self::HELD + 1)->get(['id', 'lot_key']);
        $lots = $changed->pluck('lot_key')->filter()->unique()->all();
        $ids = self::numbers($changed->pluck('id'));
        if ($lots !== []) {
            array_push($ids, ...self::ids(self::cards()->whereIn('lot_key', $lots)->limit(self::HELD + 1)));
        }

        return count(array_unique($ids)) > self::HELD ? null : self::rows($ids);
    }

    /** @return list<TagProps> */
    public static function found(TraySearch $search): array
    {
        $ids = [];
        if ($search->words !== [] || $search->only !== TrayFilter::All) {
            $cards = self::cards()->limit(self::FOUND);
            foreach ($search->words as $word) {
                $cards->where('found_by', 'like', '%'.addcslashes($word, '%_\\').'%');
            }
            $ids = self::ids(match ($search->only) {
                TrayFilter::All => $cards,
                TrayFilter::Unproven => $cards->where('verdict', VerdictKind::Unproven),
                TrayFilter::Due => $cards->where('due_on', '<=', now()->format(When::ISO_DAY)),
            });
        }
        if ($search->tags !== []) {
            array_push($ids, ...self::ids(self::cards()->whereIn('tag', $search->tags)));
        }
        if ($search->around !== null) {
            $after = self::cards()->where('tag', '>=', $search->around);
            $before = self::cards()->where('tag', '<', $search->around)->reorder('tag', 'desc');
            array_push($ids, ...self::ids($after->limit(self::NEIGHBOURS)), ...self::ids($before->limit(self::NEIGHBOURS)));
        }

        return self::rows($ids);
    }

    private static function cards(): Builder
    {
        return Card::query()->toBase()->orderBy('tag');
    }

    /** @return list<int> */
    private static function ids(Builder $cards): array
    {
        return self::numbers($cards->pluck('id'));
    }

    /**
     * @param  Collection<int, mixed>  $ids
     * @return list<int>
     */
    private static function numbers(Collection $ids): array
    {
        return array_values(array_map(intval(...), array_filter($ids->all(), is_numeric(...))));
    }

    /**
     * Plain rows, and of other tables only what belongs to them: a house may have a million runs.
     *
     * @param  list<int>  $ids
     * @return list<TagProps>
     */
    private static function rows(array $ids): array
    {
        if ($ids === []) {
            return [];
        }
        // Whole numbers of ours, so that thousands of them are no placeholders.
        $list = implode(',', $ids);
        $these = fn (string $column): string => "{$column} in ({$list})";
        $lots = Card::query()
            ->toBase()
            ->selectRaw('lot_key, count(*) as lot_size, sum(coalesce(overruled, verdict) = ?) as lot_sham', [VerdictKind::Sham->value])
            ->whereIn('lot_key', fn (Builder $own): Builder => $own->select('lot_key')->from('cards')->whereRaw($these('id')))
            ->groupBy('lot_key');
        $runs = Run::query()->toBase()->selectRaw('card_id, count(*) as runs')->whereRaw($these('card_id'))->groupBy('card_id');
        $going = Run::query()
            ->toBase()
            ->selectRaw('card_id, count(*) as going')
            ->whereIn('state', RunState::going())
            ->whereRaw($these('card_id'))
            ->groupBy('card_id');
        $rows = self::cards()
            ->select(['tag', 'line', 'verdict', 'overruled', 'lot_size', 'lot_sham', 'runs', 'going'])
            ->addSelect(['footage', 'secured_act', 'partly_act', 'marked_act', 'retired_on'])
            ->selectRaw('due_on <= ? as due', [now()->format(When::ISO_DAY)])
            ->leftJoinSub($lots, 'lots', 'lots.lot_key', '=', 'cards.lot_key')
            ->leftJoinSub($runs, 'counted', 'counted.card_id', '=', 'cards.id')
            ->leftJoinSub($going, 'underway', 'underway.card_id', '=', 'cards.id')
            ->leftJoinSub(Secured::records()->whereRaw($these('card_id')), 'secured', 'secured.card_id', '=', 'cards.id')
            ->leftJoinSub(Secured::marked()->whereRaw($these('card_id')), 'marked', 'marked.card_id', '=', 'cards.id')
            ->whereRaw($these('cards.id'))
            ->get();

        return array_values($rows->map(fn (object $row): array => self::tag((array) $row))->all());
    }

    /**
     * @param  array<mixed>  $row
     * @return TagProps
     */
    private static function tag(array $row): array
    {
        $text = fn (string $field): string => is_string($row[$field] ?? null) ? $row[$field] : '';
        $count = fn (string $field): int => is_numeric($row[$field] ?? null) ? (int) $row[$field] : 0;

        return [
            'tag' => $text('tag'),
            'line' => $text('line'),
            'verdict' => VerdictKind::from($text('verdict')),
            'overruled' => VerdictKind::tryFrom($text('overruled')),
            'runs' => $count('runs'),
            'going' => $count('going') > 0,
            'badLot' => $count('lot_sham') === 0 ? null : "{$count('lot_sham')} of {$count('lot_size')}",
            'footage' => match (true) {
                $count('footage') === 0 => null,
                $count('marked_act') > 0 && $count('secured_act') === $count('marked_act') => 'may be cleared',
                $count('marked_act') > 0 && $count('partly_act') === $count('marked_act') => 'partly secured',
                default => 'not secured',
            },
            'due' => $count('due') > 0,
            'retired' => $text('retired_on') !== '',
        ];
    }
}
