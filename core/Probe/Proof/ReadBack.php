<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

use Closure;
use Tally\Device\Clock;
use Tally\Device\Data;
use Tally\Device\Device;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\MediumGone;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Imprint;
use Tally\Pattern\Patch;
use Tally\Probe\Trace;
use Tally\Probe\Watch\Pacemaker;
use Tally\Probe\Watch\Phase;

/** The read pass of a full proof: says of every sector what came back. */
final class ReadBack
{
    /** Below this an error is not narrowed down further. */
    private const LEAST_READ = 4096;

    public readonly Trace $trace;

    public readonly CoreSample $core;

    /** Bytes that came, whatever they were. */
    public int $read;

    public float $seconds;

    private readonly Appraiser $appraiser;

    /** @param  array<int, int>  $refused  offset → length of what the device refused to write */
    public function __construct(
        private readonly Device $device,
        private readonly Clock $clock,
        private readonly Pacemaker $beat,
        Imprint $imprint,
        private readonly Checkpoint $from,
        private readonly array $refused,
    ) {
        $this->appraiser = new Appraiser($imprint);
        $this->trace = Trace::continued($from->readTrace, $device->stretch());
        [$this->core, $this->read, $this->seconds] = [$from->core, $from->read, $from->reading];
    }

    /**
     * @param  Closure(int): void  $done  told how far everything was read back
     * @return bool false when it was stopped
     *
     * @throws MediumGone
     */
    public function run(int $written, Closure $done): bool
    {
        $this->beat->expect($written * 2);
        for ($at = $this->from->read; $at < $written; $at += $length) {
            if ($this->beat->wantsStop()) {
                return false;
            }
            $length = min($this->device->stretch(), $written - $at);
            if (isset($this->refused[$at])) {
                $this->core->add(new Patch(BlockClass::Unreadable, $at, $length));
            } else {
                $this->look($at, $length);
            }
            $this->beat->beat(Phase::Reading, 1, $at + $length, $written, $length);
            $done($at + $length);
        }

        return true;
    }

    /** Reads one stretch; where that fails, halves of it, so that one bad spot does not condemn its neighbours. */
    private function look(int $at, int $length): void
    {
        try {
            $data = $this->timed($at, $length);
        } catch (CannotRead) {
            if ($length <= self::LEAST_READ) {
                $this->core->add(new Patch(BlockClass::Unreadable, $at, $length));

                return;
            }
            $half = max(self::LEAST_READ, intdiv($length, 2 * self::LEAST_READ) * self::LEAST_READ);
            $this->look($at, $half);
            $this->look($at + $half, $length - $half);

            return;
        }
        foreach ($this->appraiser->appraise($data, $at) as $patch) {
            $this->core->add($patch);
        }
    }

    private function timed(int $at, int $length): Data
    {
        $before = $this->clock->now();
        $data = $this->device->read($at, $length);
        $took = $this->clock->now() - $before;
        $this->seconds += $took;
        $this->read += $length;
        $this->trace->add($length, $took);

        return $data;
    }
}
