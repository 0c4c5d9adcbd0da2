<?php

declare(strict_types=1);

namespace Tally\Probe\Observing;

/** How far a run has come. */
final readonly class Progress
{
    /**
     * @param  int  $run  which of several runs, from 1
     * @param  int  $at  bytes of this phase done
     * @param  int  $of  bytes of this phase in all
     * @param  int  $done  bytes of all phases of all runs done
     * @param  int  $total  bytes of all phases of all runs
     * @param  float  $seconds  of the device's clock since the run began
     * @param  int  $before  of what is done, what an earlier part of this run had done: it tells nothing of the speed now
     * @param  float|null  $rate  bytes a second of the last moment; null before anything moved
     */
    public function __construct(
        public Phase $phase,
        public int $run = 1,
        public int $at = 0,
        public int $of = 0,
        public int $done = 0,
        public int $total = 0,
        public float $seconds = 0.0,
        public ?float $rate = null,
        public int $before = 0,
    ) {}

    /** How much of it is done, 0 to 1. */
    public function share(): float
    {
        return $this->total === 0 ? 0.0 : $this->done / $this->total;
    }

    /** @return float|null seconds, at the mean speed so far; null before that can be told */
    public function left(): ?float
    {
        $fresh = $this->done - $this->before;

        return $fresh > 0.005 * $this->total ? ($this->seconds * ($this->total - $this->done)) / $fresh : null;
    }
}
