<?php

declare(strict_types=1);

namespace Tally\Probe;

use InvalidArgumentException;
use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\MediumGone;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Imprint;
use Tally\Probe\Watch\Observer;
use Tally\Probe\Watch\Pacemaker;
use Tally\Probe\Watch\Phase;
use Tally\Probe\Watch\Unwatched;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/**
 * Writes a region, settles, makes the host forget, reads it back; several times over.
 *
 * The clock of a write stops only when the data is on the medium; a read is timed without the checking of what came back.
 */
final readonly class SpeedRun
{
    public const MOST_RUNS = 50;

    /**
     * @param  Bytes  $region  how much to write and read each time
     *
     * @throws InvalidArgumentException
     */
    public function __construct(private Bytes $region, private int $runs = 5)
    {
        if ($region->isZero() || $runs < 1 || $runs > self::MOST_RUNS) {
            throw new InvalidArgumentException("A speed run takes some bytes and 1 to 50 runs; {$region->decimal()} and {$runs} were given.");
        }
    }

    public function on(Device $device, Clock $clock, Observer $observer = new Unwatched): SpeedResult
    {
        $region = Bytes::of(min($this->region->count, $device->size()->count));
        $beat = new Pacemaker($clock, $observer, 2 * $region->count * $this->runs);
        $looks = [];
        $trace = [];
        try {
            for ($run = 1; $run <= $this->runs; $run++) {
                $points = new Trace($device->stretch());
                $look = $this->look($device, $clock, $beat, Imprint::random($region), $points, $run);
                if ($look === null) {
                    return new SpeedResult($region, $looks, $trace, true);
                }
                $trace = $points->points();
                $looks[] = $look;
            }
        } catch (MediumGone $gone) {
            return new SpeedResult($region, $looks, $trace, true, $gone->getMessage());
        }

        return new SpeedResult($region, $looks, $trace, false);
    }

    private function look(Device $device, Clock $clock, Pacemaker $beat, Imprint $imprint, Trace $trace, int $run): ?SpeedLook
    {
        $write = $this->write($device, $clock, $beat, $imprint, $trace, $run);
        if ($write === null) {
            return null;
        }
        $forgot = $device->forget();
        $read = $this->read($device, $clock, $beat, $imprint, $run);

        return $read === null ? null : new SpeedLook($write, $read['passage'], $forgot, $read['wrong']);
    }

    private function write(Device $device, Clock $clock, Pacemaker $beat, Imprint $imprint, Trace $trace, int $run): ?Passage
    {
        $size = $imprint->size->count;
        $began = $clock->now();
        for ($at = 0; $at < $size; $at += $length) {
            if ($beat->wantsStop()) {
                return null;
            }
            $length = min($device->stretch(), $size - $at);
            $before = $clock->now();
            $device->write($at, $imprint->stretch($at, $length));
            $trace->add($length, $clock->now() - $before);
            $beat->beat(Phase::Writing, $run, $at + $length, $size, $length);
        }
        $beat->beat(Phase::Settling, $run, $size, $size, 0);
        $device->settle();

        return new Passage($imprint->size, Span::seconds($clock->now() - $began));
    }

    /** @return array{passage: Passage, wrong: int}|null */
    private function read(Device $device, Clock $clock, Pacemaker $beat, Imprint $imprint, int $run): ?array
    {
        $appraiser = new Appraiser($imprint);
        $size = $imprint->size->count;
        $seconds = 0.0;
        $readable = 0;
        $wrong = 0;
        for ($at = 0; $at < $size; $at += $length) {
            if ($beat->wantsStop()) {
                return null;
            }
            $length = min($device->stretch(), $size - $at);
            $before = $clock->now();
            try {
                $data = $device->read($at, $length);
                $seconds += $clock->now() - $before;
                $readable += $length;
                foreach ($appraiser->appraise($data, $at) as $patch) {
                    $wrong += $patch->class === BlockClass::Holds ? 0 : $patch->length;
                }
            } catch (CannotRead) {
                $wrong += $length;
            }
            $beat->beat(Phase::Reading, $run, $at + $length, $size, $length);
        }

        return ['passage' => new Passage(Bytes::of($readable), Span::seconds($seconds)), 'wrong' => $wrong];
    }
}
