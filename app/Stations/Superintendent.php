<?php

declare(strict_types=1);

namespace App\Stations;

use Symfony\Component\Process\Process;

/**
 * Looks after the processes of a station: one that measures, those that prove, and one that looks into the slots. One that
 * dies is started again; when the superintendent ends, it takes all of them along.
 */
final class Superintendent
{
    /** A process that cannot even begin is not started again at once. Seconds. */
    private const BREATHER = 3.0;

    /** How often one is told to end before it is ended: a minute, in which a run can settle what it wrote. */
    private const PATIENCE = 240;

    private bool $ended = false;

    /** @var array<string, Process> */
    private array $running = [];

    /** @param  array<string, list<string>>  $duties  name → options of tally:station */
    public function __construct(private readonly array $duties) {}

    public function end(): void
    {
        $this->ended = true;
    }

    public function run(): void
    {
        while (! $this->ended) {
            foreach ($this->duties as $name => $options) {
                $one = $this->running[$name] ?? null;
                if ($one === null || (! $one->isRunning() && microtime(true) - $one->getStartTime() > self::BREATHER)) {
                    $this->running[$name] = $one = new Process(
                        [PHP_BINARY, base_path('artisan'), 'tally:station', ...$options, '--under='.getmypid()],
                        base_path(),
                        timeout: null,
                    );
                    $one->disableOutput();
                    $one->start();
                }
            }
            usleep(500_000);
        }
        // More than once: one that is just being started may not hear the first.
        for (
            $tries = 0;
            $tries < self::PATIENCE && array_filter($this->running, fn (Process $one): bool => $one->isRunning()) !== [];
            $tries++
        ) {
            foreach ($this->running as $one) {
                if ($one->isRunning()) {
                    posix_kill((int) $one->getPid(), SIGTERM);
                }
            }
            usleep(250_000);
        }
        foreach ($this->running as $one) {
            $one->stop(0);
        }
    }
}
