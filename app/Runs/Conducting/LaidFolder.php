<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use Tally\Chain\Path;
use Tally\Device\Clock;
use Tally\Device\Files\FileStore;
use Tally\Device\Files\FolderFiles;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tally\Simulated\SimulatedFiles;

/** A place for files laid ready for a run, with the clock that belongs to it. */
final readonly class LaidFolder
{
    private function __construct(public FileStore $store, public Clock $clock) {}

    /**
     * @param  list<string>  $kept  folders of runs that are to be continued
     *
     * @throws \Tally\Device\Fault\DeviceFault
     */
    public static function folder(HeldFolder $card, array $kept = []): self
    {
        return new self(FolderFiles::open($card, $kept), new HostClock());
    }

    public static function simulated(Medium $medium, ?Path $chain): self
    {
        $clock = new SimulatedClock();

        return new self(new SimulatedFiles(new SimulatedDevice($medium, $clock, $chain?->usable()), $clock), $clock);
    }
}
