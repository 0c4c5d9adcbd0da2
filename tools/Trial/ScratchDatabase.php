<?php

declare(strict_types=1);

namespace Tools\Trial;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * A database server of one's own, to be taken away and brought back in trials, with nobody else's books on it.
 * While it is in use it is the application's connection.
 */
final class ScratchDatabase
{
    public const NAME = 'gritty_tally_trial';

    /** @var array{mixed, mixed} socket and name that were set before */
    private array $before;

    /** @param  array<string, string>  $settings  as in .env */
    public function __construct(private readonly string $folder, private readonly array $settings = [])
    {
        $this->before = [config('database.connections.mariadb.unix_socket'), config('database.connections.mariadb.database')];
    }

    /** Starts it, and lays the tables out where there are none. */
    public function begin(): void
    {
        $this->start();
        $this->connect($this->socket(), self::NAME);
        Artisan::call('migrate:fresh', ['--force' => true]);
    }

    public function start(): void
    {
        $this->ask('start');
    }

    public function stop(): void
    {
        $this->ask('stop');
    }

    public function end(): void
    {
        $this->stop();
        $this->connect(...$this->before);
    }

    /** @return array<string, string> for processes that are to work on it */
    public function env(): array
    {
        return ['DB_SOCKET' => $this->socket(), 'DB_DATABASE' => self::NAME];
    }

    private function socket(): string
    {
        return "{$this->folder}/db/mysql.sock";
    }

    private function connect(mixed $socket, mixed $name): void
    {
        config(['database.connections.mariadb.unix_socket' => $socket, 'database.connections.mariadb.database' => $name]);
        DB::purge();
    }

    /** @return string what bin/database says to it */
    public function ask(string ...$what): string
    {
        $asked = new Process(
            [base_path('bin/database'), ...$what],
            base_path(),
            ['GRITTY_RUN' => $this->folder, ...$this->env(), ...$this->settings],
            timeout: 60,
        );
        $asked->run();
        // 10: it was running already.
        if (! in_array($asked->getExitCode(), [0, 10], true)) {
            throw new RuntimeException('The scratch database does not '.implode(' ', $what).": {$asked->getErrorOutput()}");
        }

        return $asked->getOutput();
    }
}
