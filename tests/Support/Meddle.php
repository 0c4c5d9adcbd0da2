<?php

declare(strict_types=1);

namespace Tests\Support;

use Closure;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;

/** Does something to the medium once a run has come so far. */
final class Meddle implements Observer
{
    private bool $done = false;

    /** @param  Closure(): mixed  $deed */
    public function __construct(private readonly int $after, private readonly Closure $deed, private readonly ?Phase $phase = null) {}

    public function progress(Progress $progress): void
    {
        if (! $this->done && $progress->done >= $this->after && ($this->phase === null || $progress->phase === $this->phase)) {
            $this->done = true;
            ($this->deed)();
        }
    }

    public function wantsStop(): bool
    {
        return false;
    }
}
