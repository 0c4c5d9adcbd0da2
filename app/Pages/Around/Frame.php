<?php

declare(strict_types=1);

namespace App\Pages\Around;

use App\Models\Runs\RunState;
use App\Models\Stations\Station;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Tally\Verdict\Step;

/** The line and the station. */
final readonly class Frame
{
    public static function now(): FrameProps
    {
        $station = Station::query()
            ->where('name', config('tally.station'))
            ->select('stations.*')
            ->selectRaw(LineCounts::MARK)
            ->withCount(['runs as going' => fn (Builder $runs): Builder => $runs->whereIn('state', RunState::going())])
            ->first();
        $counts = LineCounts::marked($station?->getAttributes() ?? (array) DB::selectOne('SELECT '.LineCounts::MARK));

        return new FrameProps(
            $station->name ?? 'No station',
            $station?->hasWorker() ?? false,
            $station === null ? 0 : $station->going,
            self::stages($counts),
            $counts->cards(),
            $counts->unproven(),
            $counts->due(),
        );
    }

    /** @return list<StageProps> */
    private static function stages(LineCounts $counts): array
    {
        return [
            new StageProps('intake', 'Intake', 0),
            new StageProps('inspect', 'Inspect', $counts->at(Step::Inspect)),
            new StageProps('measure', 'Measure', $counts->at(Step::Measure, Step::MeasureAgain)),
            new StageProps('prove', 'Prove', $counts->at(Step::Prove, Step::ProveAgain)),
            new StageProps('fit', 'Fit', 0),
            new StageProps('offload', 'Offload', $counts->laden()),
            new StageProps('ledger', 'Ledger', $counts->due()),
        ];
    }
}
