<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Evidence\CardEvidence;
use App\Models\Run;
use App\Models\Station;
use App\Runs\RunState;
use Illuminate\Console\Command;
use Illuminate\Queue\QueueManager;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The worker of this station: one at a time, since runs side by side would measure each other. */
final class StationCommand extends Command
{
    protected $signature = 'tally:station {--once : Take one waiting run, then end}';

    protected $description = 'Carry out the runs that wait for this station';

    private float $seen = 0.0;

    public function handle(QueueManager $queue): int
    {
        $station = Station::here();
        if ($station === null) {
            $this->error('No station is called “'.Str::of(is_string($name = config('tally.station')) ? $name : '').'” in the books. Set TALLY_STATION in .env to one that is, or run ./start --fresh.');

            return self::FAILURE;
        }
        // One for each database: the tests have a station of this name too.
        $lock = fopen(storage_path('framework/'.$station->getConnection()->getDatabaseName().'-'.$station->queue().'.lock'), 'c');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB)) {
            $this->error("A worker of {$station->name} is already running on this machine.");

            return self::FAILURE;
        }
        $this->closeInterrupted($station);
        $queue->looping(function () use ($station): void {
            $this->show($station);
        });

        return $this->call('queue:work', array_filter([
            '--queue' => $station->queue(),
            '--sleep' => '0.3',
            '--tries' => '1',
            '--timeout' => '0',
            '--once' => $this->option('once') === true,
        ], fn (string|bool $value): bool => $value !== false));
    }

    /** This worker holds the station's lock, so whatever still says “running” here was left by one that died. */
    private function closeInterrupted(Station $station): void
    {
        $left = Run::query()->with('card')->where('station_id', $station->id)->where('state', RunState::Running)->get();
        foreach ($left as $run) {
            $run->forceFill([
                'state' => RunState::Interrupted,
                'message' => 'The worker of this station died while the run went on.'.($run->result === null ? '' : ' What was measured whole before counts.').' What it wrote is removed when that card is next used here.',
                'ended_at' => now(),
                'progress' => null,
            ])->save();
            CardEvidence::refresh($run->card);
            $this->line("{$run->name()} of {$run->card->tag} was interrupted.");
        }
        DB::table('jobs')->where('queue', $station->queue())->whereNotNull('reserved_at')->delete();
    }

    private function show(Station $station): void
    {
        if (hrtime(true) / 1e9 - $this->seen > 3) {
            $this->seen = hrtime(true) / 1e9;
            Station::query()->whereKey($station->id)->update(['worker_seen_at' => now()]);
        }
    }
}
