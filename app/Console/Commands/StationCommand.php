<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Run;
use App\Models\Station;
use App\Runs\Filing;
use App\Runs\RunState;
use Illuminate\Console\Command;
use Illuminate\Queue\QueueManager;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Symfony\Component\Process\Process;

/**
 * The workers of this station. One measures, since speed runs side by side would measure each other; the others prove, one
 * card each. Each is a process of its own, in a lane of its own, so that one that dies takes no other along.
 */
final class StationCommand extends Command
{
    /** The lane of speed runs; the others prove. */
    private const MEASURING = 0;

    protected $signature = 'tally:station
        {--once : Take one waiting run, then end}
        {--lane= : Be the one worker of this lane; 0 measures, the others prove}
        {--under= : The process that superintends this worker; without it the worker ends}';

    protected $description = 'Carry out the runs that wait for this station';

    /** A worker that cannot even begin is not started again at once. Seconds. */
    private const BREATHER = 3.0;

    /** How often a worker is told to end before it is ended: a minute, in which a run can settle what it wrote. */
    private const PATIENCE = 240;

    private float $seen = 0.0;

    private bool $ended = false;

    public function handle(QueueManager $queue): int
    {
        $station = Station::here();
        if ($station === null) {
            $this->error('No station is called “'.Str::of(is_string($name = config('tally.station')) ? $name : '').'” in the books. Set TALLY_STATION in .env to one that is, or run ./start --fresh.');

            return self::FAILURE;
        }
        $lane = is_string($given = $this->option('lane')) && ctype_digit($given) ? (int) $given : null;
        // One for each database: the tests have a station of this name too.
        $lock = fopen(storage_path('framework/'.$station->getConnection()->getDatabaseName().'-'.$station->queue().($lane === null ? '' : "-{$lane}").'.lock'), 'c');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            $this->error("A worker of {$station->name} is already running on this machine.");

            return self::FAILURE;
        }
        if ($lane === null && $this->option('once') !== true) {
            return $this->superintend();
        }
        $this->closeInterrupted($station, $lane);
        $under = $this->option('under');
        $queue->looping(function () use ($station, $under): void {
            $this->show($station);
            // A worker whose superintendent is gone makes room for those of the next one.
            if (is_string($under) && posix_getppid() !== (int) $under) {
                exit(self::SUCCESS);
            }
        });
        config(['tally.lane' => $lane]);
        $queues = match ($lane) {
            null => "{$station->queue()},{$station->proofQueue()}",
            self::MEASURING => $station->queue(),
            default => $station->proofQueue(),
        };

        return $this->call('queue:work', array_filter([
            '--queue' => $queues,
            '--sleep' => '0.3',
            '--tries' => '1',
            '--timeout' => '0',
            '--once' => $this->option('once') === true,
        ], fn (string|bool $value): bool => $value !== false));
    }

    /** Starts a worker for each lane, starts it again when it dies, and takes all of them along when it is ended. */
    private function superintend(): int
    {
        $lanes = [];
        foreach ([SIGTERM, SIGINT, SIGHUP, SIGQUIT] as $signal) {
            $this->trap($signal, function (): void {
                $this->ended = true;
            });
        }
        $proofs = config('tally.proofs_at_once');
        while (! $this->ended) {
            for ($lane = self::MEASURING; $lane <= (is_int($proofs) ? $proofs : 1); $lane++) {
                if (! isset($lanes[$lane]) || (! $lanes[$lane]->isRunning() && microtime(true) - $lanes[$lane]->getStartTime() > self::BREATHER)) {
                    $lanes[$lane] = new Process([PHP_BINARY, base_path('artisan'), 'tally:station', "--lane={$lane}", '--under='.getmypid()], base_path(), timeout: null);
                    $lanes[$lane]->disableOutput();
                    $lanes[$lane]->start();
                }
            }
            usleep(500_000);
        }
        // More than once: one that is just being started may not hear the first.
        for ($tries = 0; $tries < self::PATIENCE && array_filter($lanes, fn (Process $worker): bool => $worker->isRunning()) !== []; $tries++) {
            foreach ($lanes as $worker) {
                if ($worker->isRunning()) {
                    posix_kill((int) $worker->getPid(), SIGTERM);
                }
            }
            usleep(250_000);
        }
        foreach ($lanes as $worker) {
            $worker->stop(0);
        }

        return self::SUCCESS;
    }

    /** This worker holds the lock of its lane (or of the whole station), so whatever still says “running” in it was left by one that died. */
    private function closeInterrupted(Station $station, ?int $lane): void
    {
        $left = Run::query()->with('card')->where('station_id', $station->id)->where('state', RunState::Running);
        if ($lane !== null) {
            // A run without a lane is one of before there were any.
            $left->whereRaw('COALESCE(lane, ?) = ?', [self::MEASURING, $lane]);
        }
        foreach ($left->get() as $run) {
            $canGoOn = $run->kind->isProof() && $run->checkpoint !== null;
            Filing::file($run, RunState::Interrupted, null, message: 'The worker of this station died while the run went on.'.($run->result === null ? '' : ' What was measured whole before counts.')
                .($canGoOn ? ' It can go on from where it was.' : ' What it wrote is removed when that card is next used here.'));
            $this->line("{$run->name()} of {$run->card->tag} was interrupted.");
            DB::table('jobs')->where('id', $run->job_id)->delete();
        }
        if ($lane === null) {
            DB::table('jobs')->whereIn('queue', [$station->queue(), $station->proofQueue()])->whereNotNull('reserved_at')->delete();
        }
    }

    private function show(Station $station): void
    {
        if (hrtime(true) / 1e9 - $this->seen > 3) {
            $this->seen = hrtime(true) / 1e9;
            Station::query()->whereKey($station->id)->update(['worker_seen_at' => now()]);
        }
    }
}
