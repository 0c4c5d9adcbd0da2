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
        $rows = Card::query()
            ->select(['id', 'tag', 'line', 'verdict'])
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

        return new TagProps($text('tag'), $text('line'), VerdictKind::from($text('verdict')), $count('runs_count'), $count('going_count') > 0);
    }

    /** @return list<StageProps> */
    private static function stages(): array
    {
        $waiting = Card::query()->toBase()->selectRaw('next_step, count(*) as cards')->groupBy('next_step')->pluck('cards', 'next_step');
        $at = fn (Step $step): int => is_numeric($cards = $waiting[$step->value] ?? 0) ? (int) $cards : 0;
        $struck = array_filter(VerdictKind::cases(), fn (VerdictKind $kind): bool => $kind->isStruckOut());

        return [
            new StageProps('intake', 'Intake', 0),
            new StageProps('measure', 'Measure', $at(Step::Measure)),
            new StageProps('prove', 'Prove', $at(Step::Prove)),
            new StageProps('offload', 'Offload', Card::query()->where('footage', '>', 0)->whereNotIn('verdict', $struck)->count()),
        ];
    }
}
