<?php

declare(strict_types=1);

namespace Tests\Support;

use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;

/** Watches a run, remembers what it was told, and asks it to stop at a share of a phase. */
final class StopAt implements Observer
{
    /** @var list<Progress> */
    public array $heard = [];

    private bool $stop = false;

    public function __construct(
        private readonly ?Phase $phase = null,
        private readonly float $share = 2.0,
        private readonly int $run = 1,
    ) {}

    public function progress(Progress $progress): void
    {
        $this->heard[] = $progress;
        if ($progress->phase === $this->phase && $progress->run >= $this->run && $progress->at >= $this->share * $progress->of) {
            $this->stop = true;
        }
    }

    public function wantsStop(): bool
    {
        return $this->stop;
    }
}
