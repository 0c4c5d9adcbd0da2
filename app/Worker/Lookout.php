<?php

declare(strict_types=1);

namespace App\Worker;

use App\Kit\DriveChecks;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadState;
use App\Models\Stations\Station;
use App\Offload\Carrying\HungCopies;
use App\Offload\Carrying\LeftCopies;
use App\Offload\Carrying\SimulatedPlay;
use App\Runs\Filing\DatabaseAway;
use App\Runs\Filing\UnfiledResult;
use App\Stations\BenchSight;
use App\Stations\SlotLook;
use Closure;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Goes round while a station runs: what lies in its slots, results that wait to be filed, orders that a dead worker held. */
final readonly class Lookout
{
    /** Seconds from round to round. */
    private const ROUND = 2.0;

    public function __construct(private SlotLook $look) {}

    /** @param  Closure(): bool  $ends */
    public function keep(Closure $ends): void
    {
        while (! $ends()) {
            try {
                $this->round();
            } catch (Throwable $fault) {
                if (! DatabaseAway::is($fault)) {
                    report($fault);
                }
                DB::disconnect();
            }
            usleep((int) (self::ROUND * 1e6));
        }
    }

    public function round(): void
    {
        UnfiledResult::fileAll();
        $station = Station::here();
        if ($station === null) {
            return;
        }
        BenchSight::answerAll($station);
        $this->look->all($station);
        HungCopies::letGo($station);
        DriveChecks::closeLeft($station);
        LeftRuns::close($station);
        LeftCopies::takeUp($station);
        foreach (Offload::query()->where('state', '!=', OffloadState::Ended)->where('is_made_up', true)->get() as $offload) {
            SimulatedPlay::catchUp($offload);
        }
    }
}
