<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use App\Models\Runs\Run;
use App\Models\Stations\Station;
use Illuminate\Database\QueryException;
use Illuminate\Queue\Worker;
use Illuminate\Support\Facades\DB;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Progress;
use Tally\Value\Values;

/** Writes a run's progress into the books four times a second, and looks there whether somebody asked it to stop. */
final class RunObserver implements Observer
{
    private const EVERY = 0.25;

    private float $last = 0.0;

    private bool $stop = false;

    /** @param  Worker|null  $worker  whose being told to quit ends the run too, so that its files do not stay on the card */
    public function __construct(private readonly Run $run, private readonly ?Worker $worker = null) {}

    public function progress(Progress $progress): void
    {
        $now = hrtime(true) / 1e9;
        if ($now - $this->last < self::EVERY) {
            return;
        }
        $this->last = $now;
        try {
            Run::query()
                ->whereKey($this->run->id)
                ->update(['progress' => Values::json($progress)]);
            Station::query()
                ->whereKey($this->run->station_id)
                ->update(['worker_seen_at' => now()]);
            $this->stop = (bool) Run::query()->whereKey($this->run->id)->value('stop_requested');
        } catch (QueryException) {
            // A database that is away for a moment is no reason to give up a run of hours; the result is filed at the end.
            DB::disconnect();
        }
    }

    public function wantsStop(): bool
    {
        return $this->stop || $this->worker?->shouldQuit === true;
    }
}
