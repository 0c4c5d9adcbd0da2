<?php

declare(strict_types=1);

namespace App\Pages\Around;

use App\Models\Runs\RunState;
use App\Models\Stations\Station;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Tally\Verdict\Step;

/**
 * The line and the station.
 *
 * @phpstan-type FrameProps array{ // What stands around every page, but for the cards, which come apart.
 *     station: string,
 *     worker: bool,
 *     going: int, // runs going or waiting at this station
 *     stages: list<StageProps>,
 *     cards: int, // how many there are in all
 *     unproven: int,
 *     due: int,
 * }
 */
final readonly class Frame
{
    /** @return FrameProps */
    public static function now(): array
    {
        $station = Station::query()
            ->where('name', config('tally.station'))
            ->select('stations.*')
            ->selectRaw(LineCounts::MARK)
            ->withCount(['runs as going' => fn (Builder $runs): Builder => $runs->whereIn('state', RunState::going())])
            ->first();
        $counts = LineCounts::marked($station?->getAttributes() ?? (array) DB::selectOne('SELECT '.LineCounts::MARK));

        return [
            'station' => $station->name ?? 'No station',
            'worker' => $station?->hasWorker() ?? false,
            'going' => $station === null ? 0 : $station->going,
            'stages' => self::stages($counts),
            'cards' => $counts->cards(),
            'unproven' => $counts->unproven(),
            'due' => $counts->due(),
        ];
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
