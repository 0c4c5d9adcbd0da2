<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use Tally\Chain\Path;
use Tally\Device\Clock;
use Tally\Device\Files\FileStore;
use Tally\Device\Files\FolderFiles;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\StandIn\Medium;
use Tally\StandIn\StandInClock;
use Tally\StandIn\StandInDevice;
use Tally\StandIn\StandInFiles;

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

    public static function standIn(Medium $medium, ?Path $chain): self
    {
        $clock = new StandInClock();

        return new self(new StandInFiles(new StandInDevice($medium, $clock, $chain?->usable()), $clock), $clock);
    }
}
