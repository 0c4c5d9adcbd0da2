<?php

declare(strict_types=1);

namespace Tally\Probe\Observing;

use Tally\Device\Clock;

/** Keeps count of where a run is, and tells its observer. */
final class Pacemaker
{
    private readonly float $began;

    private float $last;

    private readonly int $before;

    /**
     * @param  int  $total  bytes of all phases of all runs
     * @param  int  $done  of them, what was done before, in a run that is continued
     */
    public function __construct(
        private readonly Clock $clock,
        private readonly Observer $observer,
        private int $total,
        private int $done = 0,
    ) {
        $this->before = $done;
        $this->began = $this->last = $clock->now();
    }

    /** @param  int  $moved  bytes since the last call */
    public function beat(Phase $phase, int $run, int $at, int $of, int $moved): void
    {
        $now = $this->clock->now();
        $this->done += $moved;
        $this->total = max($this->done, $this->total);
        $rate = $moved > 0 && $now > $this->last ? $moved / ($now - $this->last) : null;
        $this->last = $now;
        $this->observer->progress(
            new Progress(
                $phase,
                $run,
                $at,
                $of,
                done: $this->done,
                total: $this->total,
                seconds: $now - $this->began,
                rate: $rate,
                before: $this->before,
            ),
        );
    }

    /** What is read once more, or has grown, is more than was planned. */
    public function more(int $bytes): void
    {
        $this->total = max($this->done, $this->total + $bytes);
    }

    /** Fewer bytes than planned will be moved. */
    public function expect(int $total): void
    {
        $this->total = $total;
    }

    public function wantsStop(): bool
    {
        return $this->observer->wantsStop();
    }
}
