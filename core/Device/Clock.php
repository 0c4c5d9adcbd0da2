<?php

declare(strict_types=1);

namespace Tally\Device;

/** What a run is timed with. It only ever goes forward; its zero means nothing. */
interface Clock
{
    /** @return float seconds */
    public function now(): float;

    /** Lets so many seconds pass, for a card to cool. */
    public function pause(float $seconds): void;
}
