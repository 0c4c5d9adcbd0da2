<?php

declare(strict_types=1);

namespace App\Worker;

use App\Kit\VerifyDrive;
use App\Models\Stations\Station;
use App\Offload\Carrying\CarryCopies;
use App\Offload\Carrying\LeftCopies;
use App\Runs\Conducting\ConductRun;
use App\Runs\Filing\DatabaseAway;
use App\Runs\Filing\UnfiledResult;
use App\Stations\BenchEngine;
use App\Stations\Lane;
use App\Stations\Lease;
use Closure;
use Illuminate\Queue\CallQueuedHandler;
use Illuminate\Queue\Events\JobProcessing;
use Illuminate\Queue\Worker;
use Illuminate\Queue\WorkerOptions;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use RuntimeException;
use Throwable;

/**
 * A station at work: one process that sees what is ordered and forks one for it, as many at once as there are lanes, and one that
 * goes round and looks. What goes on in a lane goes on even where this process is killed; the next one finds it in its lane.
 */
final class Shift
{
    /** Seconds from one look at the orders to the next: a run begins within half a second. */
    private const LOOK = 0.25;

    /** All that is ever ordered. */
    private const ORDERS = [ConductRun::class, CarryCopies::class, VerifyDrive::class];

    /** While the books are away. Seconds. */
    private const AGAIN = 1.0;

    /** How often the name is held on to. Seconds. */
    private const HOLD = 3.0;

    private bool $isEnding = false;

    private float $held = 0.0;

    private ?Lane $leading = null;

    public function __construct(private readonly Worker $worker, private readonly Lookout $lookout) {}

    /**
     * @param  Lane  $leading  which this process has, and those that it forks have not
     * @return bool false where another folder has the name of this station by now
     */
    public function work(Lane $leading): bool
    {
        $station = $leading->station;
        $this->leading = $leading;
        $this->endOnSignal(function (): void {
            $this->isEnding = true;
        });
        $lease = new Lease($station);
        // What this bench itself gives is measured before its first run.
        $this->fork(Lane::all($station)[0]);
        for (; ! $this->isEnding; usleep((int) (self::LOOK * 1e6))) {
            pcntl_waitpid(-1, $status, WNOHANG);
            try {
                if (! $this->holds($lease)) {
                    $this->end($station);

                    return false;
                }
                $this->fork(Lane::looking($station));
                $this->giveOut($station);
            } catch (Throwable $fault) {
                if (! DatabaseAway::is($fault)) {
                    report($fault);
                }
                DB::purge();
                usleep((int) (self::AGAIN * 1e6));
            }
        }
        $this->end($station);
        try {
            $lease->giveBack();
        } catch (Throwable) {
            // The books are away; the name is free when nothing was heard of it for a while.
        }

        return true;
    }

    /** One order in this process itself. */
    public function workOnce(Station $station): void
    {
        UnfiledResult::fileAll();
        LeftRuns::close($station);
        LeftCopies::takeUp($station);
        $this->endOnSignal(function (): void {
            $this->worker->shouldQuit = true;
        });
        $waiting = self::waiting($station);
        foreach (Lane::all($station) as $lane) {
            if (in_array($lane->queue, $waiting, true) && $lane->take()) {
                $this->carryOut($lane);
                $lane->let();

                return;
            }
        }
    }

    private function holds(Lease $lease): bool
    {
        $now = hrtime(true) / 1e9;
        if ($now - $this->held < self::HOLD) {
            return true;
        }
        $this->held = $now;

        return $lease->hold();
    }

    /** To each lane that is free and for whose queue there is something. */
    private function giveOut(Station $station): void
    {
        foreach (self::waiting($station) as $queue) {
            foreach (Lane::all($station) as $lane) {
                if ($lane->queue === $queue && $this->fork($lane)) {
                    // The next order of it is given out when this one was taken.
                    break;
                }
            }
        }
    }

    /** @return list<string> queues in which an order waits */
    private static function waiting(Station $station): array
    {
        $queues = DB::table('jobs')
            ->whereIn('queue', [$station->queue(), $station->proofQueue(), $station->offloadQueue()])
            ->whereNull('reserved_at')
            ->where('available_at', '<=', now()->getTimestamp())
            ->distinct()
            ->pluck('queue');

        return array_values(array_filter($queues->all(), is_string(...)));
    }

    /** Another process in that lane, if it is free. */
    private function fork(Lane $lane): bool
    {
        if (! $lane->take()) {
            return false;
        }
        // A line to the books is of one process only.
        DB::purge();
        $child = pcntl_fork();
        if ($child !== 0) {
            $lane->let();

            return $child > 0;
        }
        $this->leading?->let();
        $lane->sign();
        try {
            $lane->queue === Lane::looking($lane->station)->queue ? $this->lookAround() : $this->carryOut($lane);
        } catch (Throwable $fault) {
            report($fault);
        }
        // Nothing of what this process was forked from is to be ended with it.
        exit(0);
    }

    private function lookAround(): void
    {
        $isOver = false;
        $this->endOnSignal(function () use (&$isOver): void {
            $isOver = true;
        });
        $leader = posix_getppid();
        // Of one that was killed, the next one forks another.
        $this->lookout->keep(function () use (&$isOver, $leader): bool {
            return $isOver || posix_getppid() !== $leader;
        });
    }

    private function carryOut(Lane $lane): void
    {
        $this->endOnSignal(function (): void {
            $this->worker->shouldQuit = true;
        });
        $station = $lane->station;
        config(['tally.lane' => $lane->number]);
        if ($lane->queue === $station->queue()) {
            BenchEngine::measure($station->refresh());
        }
        // An order is one of these; anything else in the books is nobody's, and is not brought to life.
        Queue::before(function (JobProcessing $event): void {
            $payload = $event->job->payload();
            $packed = is_array($payload['data'] ?? null) && is_string($command = $payload['data']['command'] ?? null) ? $command : '';
            preg_match_all('/[OCE]:\d+:"([^":]+)/', $packed, $classes);
            if (($payload['job'] ?? null) !== CallQueuedHandler::class.'@call' || array_diff($classes[1], self::ORDERS) !== []) {
                report(new RuntimeException('What is no order was taken off the queue: '.mb_substr($event->job->getRawBody(), 0, 300)));
                $event->job->delete();
            }
        });
        $this->worker->runNextJob('database', $lane->queue, new WorkerOptions(timeout: 0, sleep: 0, maxTries: 1));
    }

    /** Whatever goes on settles what it wrote; also what one before this process has begun. */
    private function end(Station $station): void
    {
        $lanes = [...Lane::all($station), Lane::looking($station)];
        foreach ($lanes as $lane) {
            $pid = $lane->process();
            if ($pid !== null) {
                posix_kill($pid, SIGTERM);
            }
        }
        foreach ($lanes as $lane) {
            while (! $lane->isFree()) {
                pcntl_waitpid(-1, $status, WNOHANG);
                usleep(50_000);
            }
        }
    }

    /** @param  Closure(): void  $ends */
    private function endOnSignal(Closure $ends): void
    {
        pcntl_async_signals(true);
        foreach ([SIGTERM, SIGINT, SIGHUP, SIGQUIT] as $signal) {
            pcntl_signal($signal, $ends);
        }
    }
}
