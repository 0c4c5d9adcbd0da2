<?php

declare(strict_types=1);

namespace App\Stations;

use App\Jobs\ConductRun;
use App\Kit\DriveChecks;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadState;
use App\Models\Runs\Run;
use App\Models\Stations\Station;
use App\Offload\Carrying\HungCopies;
use App\Offload\Carrying\StandInPlay;
use App\Runs\Filing\DatabaseAway;
use App\Runs\Filing\UnfiledResult;
use App\Runs\RunState;
use Closure;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Goes round while a station runs: what lies in its slots, results that wait to be filed, orders that a dead worker held. */
final readonly class Lookout
{
    /** Seconds from round to round. */
    private const ROUND = 2.0;

    /** A worker says within a second that a run has begun; a job that is held for longer is held by nobody. Seconds. */
    private const HELD = 60;

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
        $this->letGo($station);
        foreach (Offload::query()->where('state', '!=', OffloadState::Ended)->where('is_made_up', true)->get() as $offload) {
            StandInPlay::catchUp($offload);
        }
    }

    /** Puts back on the queue what a worker took and died of before it could say so. */
    private function letGo(Station $station): void
    {
        $waiting = Run::query()->where('station_id', $station->id)->where('state', RunState::Waiting)->exists();
        if (! $waiting) {
            return;
        }
        $held = DB::table('jobs')
            ->whereIn('queue', [$station->queue(), $station->proofQueue()])
            ->where('reserved_at', '<', now()->getTimestamp() - self::HELD)
            ->get(['id', 'payload']);
        foreach ($held as $job) {
            $payload = is_string($job->payload) ? json_decode($job->payload, true) : null;
            $packed = is_array($payload) && is_array($payload['data'] ?? null) ? $payload['data']['command'] ?? null : null;
            $command = is_string($packed) ? unserialize($packed, ['allowed_classes' => [ConductRun::class]]) : null;
            $run = $command instanceof ConductRun ? Run::query()->whereKey($command->run)->first() : null;
            if ($run?->state === RunState::Waiting) {
                DB::table('jobs')
                    ->where('id', $job->id)
                    ->update(['reserved_at' => null, 'attempts' => 0]);
            }
        }
    }
}
