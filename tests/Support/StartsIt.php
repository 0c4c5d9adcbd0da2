<?php

declare(strict_types=1);

namespace Tests\Support;

use RuntimeException;
use Symfony\Component\Process\Process;
use Tools\Trial\FreePort;

/** ./start as people use it, from a folder of its own for all that it keeps. */
trait StartsIt
{
    use TemporaryFolder {
        tearDown as private removeFolders;
    }

    private int $port = 0;

    private ?string $run = null;

    protected function tearDown(): void
    {
        if ($this->run !== null) {
            $this->start(['--stop'])->run();
        }
        $this->removeFolders();
    }

    /**
     * @param  list<string>  $options
     * @param  array<string, string>  $settings
     */
    private function start(array $options, array $settings = []): Process
    {
        return $this->asStarted([dirname(__DIR__, 2).'/start', ...$options], $settings);
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $settings
     */
    private function asStarted(array $command, array $settings = []): Process
    {
        if ($this->run === null) {
            [$this->run, $this->port] = [$this->inMemory(), FreePort::take()];
        }
        // Only what a shell would have: the settings of the tests are not those of what is started.
        $env = [
            'GRITTY_RUN' => $this->run,
            'APP_PORT' => (string) $this->port,
            'APP_URL' => "http://127.0.0.1:{$this->port}",
            'DB_SOCKET' => "{$this->run}/db/mysql.sock",
            'DB_DATABASE' => 'gritty_tally_pages',
            'TALLY_DEMO_PASSWORD' => 'of the demo',
            'TALLY_FILES' => "{$this->run}/files",
            'APP_ENV' => 'production',
            'APP_DEBUG' => 'false',
            'TALLY_PLAIN_FOLDERS' => '',
            'CACHE_STORE' => 'database',
            'SESSION_DRIVER' => 'database',
            'APP_KEY' => false,
            'TEST_TOKEN' => false,
            ...$settings,
        ];

        return new Process($command, dirname(__DIR__, 2), $env, timeout: 120);
    }

    /** @param  callable(): bool  $is */
    private static function until(callable $is, string $what): void
    {
        for ($tries = 0; ! $is(); $tries++) {
            $tries < 300 || throw new RuntimeException("Waited in vain until {$what}.");
            usleep(100_000);
        }
    }
}
