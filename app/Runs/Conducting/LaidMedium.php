<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use Tally\Chain\Path;
use Tally\Device\Addressed;
use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\FolderDevice;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\Device\Raw\Guard;
use Tally\Device\Raw\RawDevice;
use Tally\Pattern\TestPattern;
use Tally\Probe\Proof\Checkpoint;
use Tally\Quantity\Bytes;
use Tally\Record\Extent;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;

/** A medium laid ready for a run, with the clock that belongs to it. */
final readonly class LaidMedium
{
    /** @param  Bytes  $whole  the size of the medium as a whole, of which a run may use a part */
    private function __construct(public Device $device, public Clock $clock, public Bytes $whole, public bool $isSimulated) {}

    /**
     * @param  list<string>  $kept  folders of runs that are to be continued
     *
     * @throws \Tally\Device\Fault\DeviceFault
     */
    public static function folder(HeldFolder $card, ?Bytes $size, array $kept = []): self
    {
        $device = FolderDevice::open($card, $size, $kept);

        return new self($device, new HostClock(), $card->total(), false);
    }

    /**
     * For places to be written in any order.
     *
     * @param  list<string>  $kept  folders of runs that are to be continued
     *
     * @throws \Tally\Device\Fault\DeviceFault
     */
    public static function oneFile(HeldFolder $card, ?Bytes $size, array $kept = []): self
    {
        $device = FolderDevice::inOneFile($card, $size, $kept);

        return new self($device, new HostClock(), $card->total(), false);
    }

    /**
     * @param  string  $name  the folder that the run had made
     *
     * @throws \Tally\Device\Fault\DeviceFault
     */
    public static function folderContinued(HeldFolder $card, string $name, Bytes $size): self
    {
        $device = FolderDevice::reopen($card, $name, $size);

        return new self($device, new HostClock(), $card->total(), false);
    }

    /** @throws \Tally\Device\Fault\DeviceFault */
    public static function raw(string $path, Guard $guard): self
    {
        $device = RawDevice::open($path, $guard);

        return new self($device, new HostClock(), $device->size(), false);
    }

    /** @param  Checkpoint|null  $kept  what a made-up medium still carries of a run that is to be continued: it has no memory of its own */
    public static function simulated(Medium $medium, ?Path $chain = null, ?Checkpoint $kept = null): self
    {
        $clock = new SimulatedClock();
        $device = new SimulatedDevice($medium, $clock, $chain?->usable());
        $imprint = $kept === null ? null : new TestPattern($kept->imprint, $kept->size);
        for ($at = 0; $imprint !== null && $at < $kept->written; $at += $device->stretch()) {
            $device->write($at, $imprint->stretch($at, min($device->stretch(), $kept->written - $at)));
        }

        return new self($device, $clock, $medium->shown, true);
    }

    /**
     * How much there is to prove on it: of a folder only what its file system gave, and that is known where all was asked for.
     *
     * @param  Bytes|null  $asked  how much was asked for; null for all there is
     */
    public function extent(?Bytes $asked): Extent
    {
        return $this->device instanceof Addressed
            ? new Extent($this->device->size(), false)
            : new Extent($asked === null ? $this->device->size() : null, true);
    }
}
