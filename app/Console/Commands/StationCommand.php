<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Stations\Station;
use App\Stations\Lane;
use App\Stations\Lease;
use App\Stations\Shift;
use Illuminate\Console\Command;
use Illuminate\Support\Str;

/** This station at work: `./start` keeps it running. */
final class StationCommand extends Command
{
    protected $signature = 'tally:station {--once : Carry out one waiting order in this process, then end}';

    protected $description = 'Carry out what is ordered of this station, and look into its slots';

    public function handle(Shift $shift): int
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
        $leading = Lane::leading($station);
        if (! $leading->take()) {
            $this->error("{$station->name} is already running on this machine.");

            return self::FAILURE;
        }
        $lease = new Lease($station);
        if (! $lease->hold()) {
            $this->error(
                "“{$station->name}” is worked under by {$lease->holder()}. One name is for one folder: set TALLY_STATION in .env to ".
                    'another one, or end the other first.',
            );

            return self::FAILURE;
        }
        if ($this->option('once') === true) {
            $shift->workOnce($station);

            return self::SUCCESS;
        }

        return $shift->work($station, $this->error(...)) ? self::SUCCESS : self::FAILURE;
    }
}
