<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Progress;

/** Holds a run in made-up time back, so that it takes a few real seconds and can be watched and stopped. */
final readonly class RealTimePacer implements Observer
{
    private float $began;

    public function __construct(private Observer $inner, private float $seconds)
    {
        $this->began = hrtime(true) / 1e9;
    }

    public function progress(Progress $progress): void
    {
        $ahead = $progress->share() * $this->seconds - (hrtime(true) / 1e9 - $this->began);
        if ($ahead > 0.001) {
            usleep((int) ($ahead * 1e6));
        }
        $this->inner->progress($progress);
    }

    public function wantsStop(): bool
    {
        return $this->inner->wantsStop();
    }
}
