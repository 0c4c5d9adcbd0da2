<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Stations\Station;
use App\Runs\Filing\DatabaseAway;
use App\Stations\Lane;
use App\Stations\Lease;
use App\Worker\Shift;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Throwable;

/** This station at work: `./start` keeps it running. */
final class StationCommand extends Command
{
    /** Until it is looked again whether it may work. Seconds. */
    private const AGAIN = 3;

    protected $signature = 'tally:station {--once : Carry out one waiting order in this process, then end}';

    protected $description = 'Carry out what is ordered of this station, and look into its slots';

    private string $said = '';

    public function handle(Shift $shift): int
    {
        while (true) {
            try {
                $station = Station::here();
                $complaint = $station === null ? self::unknown() : $this->work($station, $shift);
                if ($complaint === null) {
                    return self::SUCCESS;
                }
            } catch (Throwable $fault) {
                if ($this->option('once') === true || ! DatabaseAway::is($fault)) {
                    throw $fault;
                }
                DB::purge();
                $complaint = 'The books do not answer. This station begins when they do.';
            }
            // Said once, however often it is tried.
            if ($complaint !== $this->said) {
                $this->error($this->said = $complaint);
            }
            if ($this->option('once') === true) {
                return self::FAILURE;
            }
            sleep(self::AGAIN);
        }
    }

    /** @return string|null why it may not; null when it has come to its end */
    private function work(Station $station, Shift $shift): ?string
    {
        $leading = Lane::leading($station);
        $lease = new Lease($station);
        if (! $leading->take()) {
            return "{$station->name} is already running on this machine.";
        }
        try {
            if (! $lease->hold()) {
                return "“{$station->name}” is worked under by {$lease->holder()}. One name is for one folder: set TALLY_STATION in .env ".
                    'to another one, or end the other first.';
            }
            if ($this->option('once') === true) {
                $shift->workOnce($station);

                return null;
            }

            return $shift->work($leading) ? null : "“{$station->name}” is worked under by {$lease->holder()} by now.";
        } finally {
            $leading->let();
        }
    }

    private static function unknown(): string
    {
        return 'No station is called “'.
            Str::of(is_string($name = config('tally.station')) ? $name : '').
            '” on the list of benches. Set TALLY_STATION in .env to one that is, or run ./start --fresh.';
    }
}
