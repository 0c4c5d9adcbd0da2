<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Card;
use App\Models\Run;
use App\Models\Station;
use App\Props\Frame\FrameProps;
use App\Props\Frame\StageProps;
use App\Props\Frame\TagProps;
use App\Runs\RunState;
use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Support\Collection;
use stdClass;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;

/** The tray, the line and the station. */
final readonly class Frame
{
    public static function now(): FrameProps
    {
        $station = Station::here();

        return new FrameProps(
            $station->name ?? 'No station',
            $station?->hasWorker() ?? false,
            $station === null ? 0 : Run::query()->where('station_id', $station->id)->whereIn('state', RunState::going())->count(),
            self::tray(),
            self::stages(),
        );
    }

    /** @return list<TagProps> plain rows, since a house has thousands of cards and every page shows them all */
    private static function tray(): array
    {
        $lots = Card::query()->toBase()->selectRaw('lot_key, count(*) as lot_size, sum(coalesce(overruled, verdict) = ?) as lot_sham', [VerdictKind::Sham->value])->whereNotNull('lot_key')->groupBy('lot_key');
        $rows = Card::query()
            ->select(['cards.id', 'tag', 'line', 'verdict', 'overruled', 'lot_size', 'lot_sham'])
            ->leftJoinSub($lots, 'lots', 'lots.lot_key', '=', 'cards.lot_key')
            ->withCount(['runs', 'runs as going_count' => fn (Builder $runs): Builder => $runs->whereIn('state', RunState::going())])
            ->orderBy('tag')
            ->toBase()->get();

        return array_values($rows->map(fn (object $row): TagProps => self::tag((array) $row))->all());
    }

    /** @param  array<mixed>  $row */
    private static function tag(array $row): TagProps
    {
        $text = fn (string $field): string => is_string($row[$field] ?? null) ? $row[$field] : '';
        $count = fn (string $field): int => is_numeric($row[$field] ?? null) ? (int) $row[$field] : 0;

        return new TagProps(
            $text('tag'), $text('line'), VerdictKind::from($text('verdict')), VerdictKind::tryFrom($text('overruled')), $count('runs_count'), $count('going_count') > 0,
            $count('lot_sham') === 0 ? null : "{$count('lot_sham')} of {$count('lot_size')}",
        );
    }

    /** @return list<StageProps> */
    private static function stages(): array
    {
        $struck = array_map(fn (VerdictKind $kind): string => $kind->value, array_filter(VerdictKind::cases(), fn (VerdictKind $kind): bool => $kind->isStruckOut()));
        $marks = implode(', ', array_fill(0, count($struck), '?'));
        $rows = Card::query()->toBase()->groupBy('next_step')
            ->selectRaw("next_step, count(*) as cards, sum(footage > 0 and coalesce(overruled, verdict) not in ({$marks})) as laden", array_values($struck))->get();
        $at = fn (Step ...$steps): int => self::sum($rows->whereIn('next_step', array_map(fn (Step $step): string => $step->value, $steps)), 'cards');

        return [
            new StageProps('intake', 'Intake', 0),
            new StageProps('inspect', 'Inspect', $at(Step::Inspect)),
            new StageProps('measure', 'Measure', $at(Step::Measure, Step::MeasureAgain)),
            new StageProps('prove', 'Prove', $at(Step::Prove, Step::ProveAgain)),
            new StageProps('offload', 'Offload', self::sum($rows, 'laden')),
        ];
    }

    /** @param  Collection<int, stdClass>  $rows */
    private static function sum(Collection $rows, string $column): int
    {
        return $rows->sum(fn (stdClass $row): int => is_numeric($row->{$column} ?? null) ? (int) $row->{$column} : 0);
    }
}
