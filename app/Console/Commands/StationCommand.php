<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Runs\Run;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use App\Offload\Carrying\LeftCopies;
use App\Runs\Filing\ResultFiling;
use App\Runs\Filing\UnfiledResult;
use App\Runs\RunState;
use App\Stations\BenchEngine;
use App\Stations\Lookout;
use Illuminate\Console\Command;
use Illuminate\Queue\QueueManager;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tally\Record\CopyParameters;

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
        {--carry= : Be one of the workers that copy offloads; they are counted from 0}
        {--look : Look into the slots, and file what waits on the disk}';

    protected $description = 'Carry out the runs that wait for this station: all of them one after another, or those of one lane';

    private float $seen = 0.0;

    public function handle(QueueManager $queue, Lookout $lookout): int
    {
        $station = Station::here();
        if ($station === null) {
            $this->error(
                'No station is called “'.
                    Str::of(is_string($name = config('tally.station')) ? $name : '').
                    '” on the list of benches. Set TALLY_STATION in .env to one that is, or run ./start --fresh.',
            );

            return self::FAILURE;
        }
        $lane = is_string($given = $this->option('lane')) && ctype_digit($given) ? (int) $given : null;
        $carries = is_string($given = $this->option('carry')) && ctype_digit($given) ? (int) $given : null;
        $looks = $this->option('look') === true;
        $duty = match (true) {
            $looks => '-look',
            $carries !== null => "-carry-{$carries}",
            $lane !== null => "-{$lane}",
            default => '',
        };
        // One for each database: the tests have a station of this name too.
        $lock = fopen(storage_path('framework/'.$station->getConnection()->getDatabaseName()."-{$station->queue()}{$duty}.lock"), 'c');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            $this->error("A worker of {$station->name} is already running on this machine.");

            return self::FAILURE;
        }
        if ($looks) {
            $ended = false;
            $this->trap([SIGTERM, SIGINT, SIGHUP, SIGQUIT], function () use (&$ended): void {
                $ended = true;
            });
            $lookout->keep(function () use (&$ended): bool {
                return $ended;
            });

            return self::SUCCESS;
        }
        // Before anything is called interrupted: it may have come to its end, with the books away.
        UnfiledResult::fileAll();
        if ($carries === null) {
            $this->closeInterrupted($station, $lane);
        }
        if ($lane === null) {
            LeftCopies::takeUp($station, $carries);
        }
        // One that takes a single run does not keep it waiting.
        if ($carries === null && ($lane === null || $lane === self::MEASURING) && $this->option('once') !== true) {
            BenchEngine::measure($station);
        }
        $queue->looping(fn () => $this->show($station));
        config(['tally.lane' => $lane, 'tally.carry' => $carries]);
        $queues = match (true) {
            $carries !== null => $station->offloadQueue(),
            $lane === null => "{$station->queue()},{$station->proofQueue()},{$station->offloadQueue()}",
            $lane === self::MEASURING => $station->queue(),
            default => $station->proofQueue(),
        };

        return $this->call(
            'queue:work',
            array_filter(
                [
                    '--queue' => $queues,
                    '--sleep' => '0.3',
                    '--tries' => '1',
                    '--timeout' => '0',
                    '--once' => $this->option('once') === true,
                ],
                fn (string|bool $value): bool => $value !== false,
            ),
        );
    }

    /**
     * This worker holds the lock of its lane (or of the whole station), so whatever still says “running” in it was left by one
     * that died.
     */
    private function closeInterrupted(Station $station, ?int $lane): void
    {
        $left = Run::query()
            ->with(['card', 'slot'])
            ->where('station_id', $station->id)
            ->where('state', RunState::Running);
        if ($lane !== null) {
            // A run without a lane is one of before there were any.
            $left->whereRaw('COALESCE(lane, ?) = ?', [self::MEASURING, $lane]);
        }
        foreach ($left->get() as $run) {
            ResultFiling::file(
                $run,
                RunState::Interrupted,
                null,
                message: 'The worker of this station died while the run went on.'.
                    ($run->result === null ? '' : ' What was measured whole before counts.').
                    self::whatStays($run),
            );
            $this->line("{$run->name()} of {$run->card->tag} was interrupted.");
            DB::table('jobs')->where('id', $run->job_id)->delete();
        }
        if ($lane === null) {
            DB::table('jobs')
                ->whereIn('queue', [$station->queue(), $station->proofQueue()])
                ->whereNotNull('reserved_at')
                ->delete();
        }
    }

    /** What of a run that died lies about, and what becomes of it. */
    private static function whatStays(Run $run): string
    {
        $asked = $run->parameters;

        return match (true) {
            $asked instanceof CopyParameters => " What it had copied stays in {$asked->into}, whole files under their names and at ".
                'most one piece as .gritty-tally-part: look at it and remove it by hand, since a copy goes into a new folder only.',
            $run->kind->isProof() && $run->checkpoint !== null => ' It can be continued from there.',
            $run->slot?->kind === SlotKind::Folder => ' What it wrote is removed when that card is next used here.',
            default => '',
        };
    }

    private function show(Station $station): void
    {
        if (hrtime(true) / 1e9 - $this->seen > 3) {
            $this->seen = hrtime(true) / 1e9;
            Station::query()
                ->whereKey($station->id)
                ->update(['worker_seen_at' => now()]);
        }
    }
}
