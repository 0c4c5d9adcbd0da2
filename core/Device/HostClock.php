<?php

declare(strict_types=1);

namespace Tally\Device;

/** The machine's monotonic clock: setting the time of day does not move it. */
final readonly class HostClock implements Clock
{
    public function now(): float
    {
        return hrtime(true) / 1e9;
    }

    public function pause(float $seconds): void
    {
        usleep((int) round(1e6 * $seconds));
    }
}
