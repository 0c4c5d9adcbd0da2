<?php

declare(strict_types=1);

namespace Tally\Probe\Watch;

/** Nobody watches. */
final readonly class Unwatched implements Observer
{
    public function progress(Progress $progress): void {}

    public function wantsStop(): bool
    {
        return false;
    }
}
