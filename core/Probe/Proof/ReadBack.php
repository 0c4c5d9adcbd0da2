<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

use Closure;
use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\EndsRun;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Pattern\TestPattern;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Trace;
use Tally\Reading\BlockMap;

/** The read pass of a full proof: says of every sector what came back. */
final class ReadBack
{
    public readonly Trace $trace;

    public readonly BlockMap $core;

    /** Bytes that came, whatever they were. */
    public int $read;

    public float $seconds;

    private readonly Appraiser $appraiser;

    public function __construct(
        private readonly Device $device,
        private readonly Clock $clock,
        private readonly Pacemaker $beat,
        TestPattern $imprint,
        private readonly Checkpoint $from,
        private readonly Refused $refused,
    ) {
        $this->appraiser = new Appraiser($imprint);
        $this->trace = Trace::continued($from->readTrace, $device->stretch());
        // Where it is gone on from stays what it is, whatever is found behind it.
        [$this->core, $this->read, $this->seconds] = [clone $from->core, $from->read, $from->reading];
    }

    /**
     * @param  Closure(int): void  $done  told how far everything was read back
     * @return bool false when it was stopped
     *
     * @throws EndsRun
     */
    public function run(int $written, Closure $done): bool
    {
        $this->beat->expect($written * 2);
        for ($at = $this->from->read; $at < $written; $at += $length) {
            if ($this->beat->wantsStop()) {
                return false;
            }
            $length = min($this->device->stretch(), $written - $at);
            foreach ($this->refused->cut($at, $length) as [$from, $part, $isRefused]) {
                if ($isRefused) {
                    $this->core->add(new Patch(BlockClass::Unreadable, $from, $part));
                } else {
                    $this->look($from, $part);
                }
            }
            $this->beat->beat(Phase::Reading, 1, $at + $length, $written, moved: $length);
            $done($at + $length);
        }

        return true;
    }

    /**
     * Reads one stretch; where that fails, halves of it, so that one bad spot does not condemn its neighbours. Where both
     * ends fail all of it is taken to: a card tries for seconds before it gives up, and a wide gap would take days.
     */
    private function look(int $at, int $length): void
    {
        try {
            $this->take($at, $length);
        } catch (CannotRead) {
            $sector = Appraiser::SECTOR;
            $last = $at + $length - min($length, $sector);
            if ($length <= $sector || (! $this->answers($at, $sector) && ! $this->answers($last, $at + $length - $last))) {
                $this->core->add(new Patch(BlockClass::Unreadable, $at, $length));

                return;
            }
            $half = max($sector, intdiv($length, 2 * $sector) * $sector);
            $this->look($at, $half);
            $this->look($at + $half, $length - $half);
        }
    }

    private function answers(int $at, int $length): bool
    {
        try {
            $this->device->read($at, $length);

            return true;
        } catch (CannotRead) {
            return false;
        }
    }

    /**
     * Timed with its checking: the next stretch is on its way meanwhile, so the waiting alone would come out too fast.
     *
     * @throws CannotRead
     */
    private function take(int $at, int $length): void
    {
        $before = $this->clock->now();
        foreach ($this->appraiser->appraise($this->device->read($at, $length), $at) as $patch) {
            $this->core->add($patch);
        }
        $took = $this->clock->now() - $before;
        $this->seconds += $took;
        $this->read += $length;
        $this->trace->add($length, $took);
    }
}
