<?php

declare(strict_types=1);

namespace Tally\Probe\Observing;

/** Who watches a run. Called after every stretch; it decides for itself how often to tell anybody. */
interface Observer
{
    public function progress(Progress $progress): void;

    /** True ends the run at the next stretch; what was measured so far is kept. */
    public function wantsStop(): bool;
}
