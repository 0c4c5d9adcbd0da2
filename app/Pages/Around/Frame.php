<?php

declare(strict_types=1);

namespace App\Pages\Around;

use App\Models\Cards\Card;
use App\Models\Stations\Station;
use App\Props\Frame\FrameProps;
use App\Props\Frame\StageProps;
use App\Runs\RunState;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use stdClass;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;

/** The line and the station. */
final readonly class Frame
{
    public static function now(): FrameProps
    {
        $station = Station::query()
            ->where('name', config('tally.station'))
            ->withCount(['runs as going' => fn (Builder $runs): Builder => $runs->whereIn('state', RunState::going())])
            ->first();

        return new FrameProps(
            $station->name ?? 'No station',
            $station?->hasWorker() ?? false,
            $station === null ? 0 : $station->going,
            self::stages(),
        );
    }

    /** @return list<StageProps> */
    private static function stages(): array
    {
        $struck = array_map(
            fn (VerdictKind $kind): string => $kind->value,
            array_filter(VerdictKind::cases(), fn (VerdictKind $kind): bool => $kind->isStruckOut()),
        );
        $marks = implode(', ', array_fill(0, count($struck), '?'));
        $rows = Card::query()
            ->toBase()
            ->whereNull('retired_on')
            ->groupBy('next_step')
            ->selectRaw(
                "next_step, count(*) as cards, sum(footage > 0 and coalesce(overruled, verdict) not in ({$marks})) as laden, ".
                    'sum(coalesce(due_on <= ?, 0)) as due',
                [...array_values($struck), now()->format('Y-m-d')],
            )
            ->get();
        $at = fn (Step ...$steps): int => self::sum(
            $rows->whereIn('next_step', array_map(fn (Step $step): string => $step->value, $steps)),
            'cards',
        );

        return [
            new StageProps('intake', 'Intake', 0),
            new StageProps('inspect', 'Inspect', $at(Step::Inspect)),
            new StageProps('measure', 'Measure', $at(Step::Measure, Step::MeasureAgain)),
            new StageProps('prove', 'Prove', $at(Step::Prove, Step::ProveAgain)),
            new StageProps('fit', 'Fit', 0),
            new StageProps('offload', 'Offload', self::sum($rows, 'laden')),
            new StageProps('ledger', 'Ledger', self::sum($rows, 'due')),
        ];
    }

    /** @param  Collection<int, stdClass>  $rows */
    private static function sum(Collection $rows, string $column): int
    {
        return $rows->sum(fn (stdClass $row): int => is_numeric($row->{$column} ?? null) ? (int) $row->{$column} : 0);
    }
}
