<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Probe\Observing\ProgressSaver;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;

/** Collects the whole passages of a speed run as they are measured. Warm-ups are told apart and not counted. */
final class SpeedCourse
{
    /** @var list<Passage> */
    private array $writes = [];

    /** @var list<Passage> */
    private array $reads = [];

    private bool $forgot = true;

    private int $wrong = 0;

    private ?Trace $trace = null;

    /** @param  ProgressSaver<SpeedResult>|null  $saver */
    public function __construct(
        public readonly Bytes $region,
        private readonly int $warmUps,
        private readonly ?ProgressSaver $saver = null,
    ) {}

    public function wrote(Passage $passage, Trace $trace, int $run): void
    {
        if ($run > $this->warmUps) {
            $this->writes[] = $passage;
            $this->trace = $trace;
            $this->keep();
        }
    }

    /** @param  int  $wrong  bytes that did not come back as written: they count in a warm-up too */
    public function read(Passage $passage, bool $forgot, int $wrong, int $run): void
    {
        $this->wrong += $wrong;
        if ($run > $this->warmUps) {
            $this->reads[] = $passage;
            $this->forgot = $this->forgot && $forgot;
            $this->keep();
        }
    }

    private function keep(): void
    {
        $this->saver?->keep(fn (): SpeedResult => $this->result(true, null));
    }

    public function result(bool $stopped, ?string $cutShort): SpeedResult
    {
        return new SpeedResult(
            $this->region,
            $this->writes,
            $this->reads,
            $this->forgot,
            wrong: $this->wrong,
            trace: $this->trace?->points() ?? [],
            stopped: $stopped,
            cutShort: $cutShort,
        );
    }
}
