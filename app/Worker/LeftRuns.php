<?php

declare(strict_types=1);

namespace App\Worker;

use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use App\Runs\Conducting\ConductRun;
use App\Runs\Filing\ResultFiling;
use App\Stations\Lane;
use Illuminate\Support\Facades\DB;
use Tally\Record\CopyParameters;

/** Runs that a worker of this station died over, and orders that it held. */
final readonly class LeftRuns
{
    /** A worker says within a second that a run has begun; an order that is held for longer is held by nobody. Seconds. */
    private const HELD = 60;

    /**
     * What still says “running” although nobody is in its lane. A result that was put down before is to be filed first: it may
     * have come to its end, with the books away.
     */
    public static function close(Station $station): void
    {
        $running = Run::query()->with(['card', 'slot'])->where('station_id', $station->id)->where('state', RunState::Running);
        foreach ($running->get() as $run) {
            // A run without a lane is one of before there were any.
            $lane = new Lane($station, $station->queueOf($run->kind), $run->lane ?? 0);
            // Nobody is in it, and nobody comes into it meanwhile.
            if (! $lane->take()) {
                continue;
            }
            if ($run->refresh()->state === RunState::Running) {
                ResultFiling::file(
                    $run,
                    RunState::Interrupted,
                    null,
                    message: 'The worker of this station died while the run went on.'.
                        ($run->result === null ? '' : ' What was measured whole before counts.').
                        self::whatStays($run),
                );
            }
            $lane->let();
        }
        self::letGo($station);
    }

    /** Puts back on the queue what a worker took and died of before it could say so. */
    private static function letGo(Station $station): void
    {
        $held = DB::table('jobs')->whereIn('queue', [$station->queue(), $station->proofQueue()])->whereNotNull('reserved_at');
        foreach ($held->get(['id', 'payload', 'reserved_at']) as $job) {
            $run = Run::query()->find(is_string($job->payload) ? self::runOf($job->payload) : null);
            $isOld = is_numeric($job->reserved_at) && $job->reserved_at < now()->getTimestamp() - self::HELD;
            match (true) {
                $run?->state->isGoing() !== true => DB::table('jobs')->where('id', $job->id)->delete(),
                $isOld && $run->state === RunState::Waiting => DB::table('jobs')
                    ->where('id', $job->id)
                    ->update(['reserved_at' => null, 'attempts' => 0]),
                default => null,
            };
        }
    }

    private static function runOf(string $payload): ?int
    {
        $payload = json_decode($payload, true);
        $packed = is_array($payload) && is_array($payload['data'] ?? null) ? $payload['data']['command'] ?? null : null;
        $command = is_string($packed) ? unserialize($packed, ['allowed_classes' => [ConductRun::class]]) : null;

        return $command instanceof ConductRun ? $command->run : null;
    }

    /** What of a run that died lies about, and what becomes of it. */
    private static function whatStays(Run $run): string
    {
        $asked = $run->parameters;

        return match (true) {
            $asked instanceof CopyParameters => " What it had copied stays in {$asked->into}, whole files under their names, a ".
                'piece of one in a folder that begins with .gritty-tally. Look at both and remove them by hand: a copy goes into a new '.
                'folder only.',
            $run->kind->isProof() && $run->checkpoint !== null => ' It can be continued from there.',
            $run->slot?->kind === SlotKind::Folder => ' What it wrote is removed when that card is next used here.',
            default => '',
        };
    }
}
