<?php

declare(strict_types=1);

namespace Tools\Trial;

use App\Models\Stations\Station;
use App\Stations\Lane;
use Symfony\Component\Process\Process;

/** A station at work in a trial: begun again when it dies, as it is elsewhere. */
final class TrialStation
{
    private ?Process $process = null;

    /** @param  array<string, string>  $env */
    public function __construct(private readonly array $env) {}

    /** Called now and then while something is waited for. */
    public function keep(): void
    {
        $one = $this->process;
        if ($one === null || (! $one->isRunning() && microtime(true) - $one->getStartTime() > 1)) {
            $command = [PHP_BINARY, base_path('artisan'), 'tally:station'];
            $this->process = $one = new Process($command, base_path(), $this->env, timeout: null);
            $one->disableOutput();
            $one->start();
        }
    }

    /** The station and all that it has begun. */
    public function kill(): void
    {
        if ($this->process?->isRunning() === true) {
            $this->process->signal(SIGKILL);
        }
        $station = Station::here();
        foreach ($station === null ? [] : [...Lane::all($station), Lane::looking($station)] as $lane) {
            $pid = $lane->process();
            if ($pid !== null) {
                posix_kill($pid, SIGKILL);
            }
        }
    }

    /** It, and not what it has begun. */
    public function stop(): void
    {
        $this->process?->stop(5);
        $this->process = null;
    }

    public function end(): void
    {
        $this->stop();
        $this->kill();
    }
}
