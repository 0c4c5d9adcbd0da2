<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\EvidenceFile\StationKeys;
use Illuminate\Console\Command;

/** Prints the line by which another house knows this station. */
final class KeyCommand extends Command
{
    protected $signature = 'tally:key';

    protected $description = 'Print the public key that this station signs its result files with';

    public function handle(): int
    {
        $this->line(config()->string('tally.station').'='.StationKeys::own());

        return self::SUCCESS;
    }
}
