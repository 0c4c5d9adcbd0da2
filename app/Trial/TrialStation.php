<?php

declare(strict_types=1);

namespace App\Trial;

use Symfony\Component\Process\Process;

/** The workers of a station in a trial: started again when they die, as the keeper does. */
final class TrialStation
{
    /** @var array<string, Process> */
    private array $workers = [];

    /** @param  array<string, string>  $env */
    public function __construct(private readonly array $env) {}

    /** Called now and then while something is waited for. */
    public function keep(): void
    {
        foreach (['--lane=0', '--lane=1', '--carry=0', '--carry=1'] as $duty) {
            $one = $this->workers[$duty] ?? null;
            if ($one === null || (! $one->isRunning() && microtime(true) - $one->getStartTime() > 1)) {
                $this->workers[$duty] = $one = new Process(
                    [PHP_BINARY, base_path('artisan'), 'tally:station', $duty],
                    base_path(),
                    $this->env,
                    timeout: null,
                );
                $one->disableOutput();
                $one->start();
            }
        }
    }

    public function kill(): void
    {
        foreach ($this->workers as $worker) {
            $worker->signal(SIGKILL);
        }
    }

    public function end(): void
    {
        foreach ($this->workers as $worker) {
            $worker->stop(5);
        }
        $this->workers = [];
    }
}
