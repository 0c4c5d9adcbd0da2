<?php

declare(strict_types=1);

namespace Tally\Simulated;

use Tally\Device\Clock;

/** Time as the made-up medium spends it: it only moves when the medium works. */
final class SimulatedClock implements Clock
{
    private float $seconds = 0.0;

    public function now(): float
    {
        return $this->seconds;
    }

    public function advance(float $seconds): void
    {
        $this->seconds += $seconds;
    }

    public function pause(float $seconds): void
    {
        $this->advance($seconds);
    }
}
