<?php

declare(strict_types=1);

namespace Tally\Probe\Observing;

/** Nobody watches. */
final readonly class Unobserved implements Observer
{
    public function progress(Progress $progress): void {}

    public function wantsStop(): bool
    {
        return false;
    }
}
