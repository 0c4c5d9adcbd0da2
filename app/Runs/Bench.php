<?php

declare(strict_types=1);

namespace App\Runs;

use Tally\Chain\Path;
use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\FolderDevice;
use Tally\Device\HostClock;
use Tally\Quantity\Bytes;
use Tally\StandIn\Medium;
use Tally\StandIn\StandInClock;
use Tally\StandIn\StandInDevice;

/** A medium laid ready for a run, with the clock that belongs to it. */
final readonly class Bench
{
    /** @param  Bytes  $whole  the size of the medium as a whole, of which a run may use a part */
    private function __construct(public Device $device, public Clock $clock, public Bytes $whole, public bool $isStandIn) {}

    /** @throws \Tally\Device\Fault\DeviceFault */
    public static function folder(string $path, ?Bytes $size): self
    {
        $device = FolderDevice::open($path, $size);

        return new self($device, new HostClock, $device->mount->total(), false);
    }

    public static function standIn(Medium $medium, ?Path $chain = null): self
    {
        $clock = new StandInClock;

        return new self(new StandInDevice($medium, $clock, $chain?->usable()), $clock, $medium->shown, true);
    }

    public function clear(): void
    {
        if ($this->device instanceof FolderDevice) {
            $this->device->clear();
        }
    }
}
