<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Trial\FreePort;
use PHPUnit\Framework\TestCase;
use RuntimeException;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;
use Tests\Support\TemporaryFolder;

/** ./start as people use it: twice at once, with a database that is down, with pieces killed under it, and stopped. */
final class StartTest extends TestCase
{
    use TemporaryFolder;

    private int $port = 0;

    private int $books = 0;

    private ?string $run = null;

    protected function tearDown(): void
    {
        if ($this->run !== null) {
            $this->start('--stop')->run();
        }
        parent::tearDown();
    }

    private function start(string ...$options): Process
    {
        if ($this->run === null) {
            [$this->run, $this->port, $this->books] = [$this->folder(), FreePort::take(), FreePort::take()];
        }
        // Only what a shell would have: the settings of the tests are not those of what is started.
        $env = [
            'GRITTY_RUN' => $this->run,
            'APP_PORT' => (string) $this->port,
            'APP_URL' => "http://127.0.0.1:{$this->port}",
            'DB_PORT' => (string) $this->books,
            'DB_DATABASE' => 'gritty_tally_pages',
            'TALLY_DEMO_PASSWORD' => 'of the demo',
            'TALLY_FILES' => "{$this->run}/files",
            'APP_ENV' => 'production',
            'APP_DEBUG' => 'false',
            'TALLY_PLAIN_FOLDERS' => '',
            'CACHE_STORE' => 'file',
            'SESSION_DRIVER' => 'file',
            'APP_KEY' => false,
            'TEST_TOKEN' => false,
        ];

        return new Process([dirname(__DIR__, 2).'/start', ...$options], dirname(__DIR__, 2), $env, timeout: 120);
    }

    private function pid(string $name): int
    {
        $pid = (int) strtok((string) @file_get_contents("{$this->run}/{$name}.pid"), ' ');

        // No file, no process: never the number that means whoever asks.
        return $pid > 0 ? $pid : PHP_INT_MAX >> 33;
    }

    /** @return array{int, string, string} status, headers and body */
    private function get(string $path, ?string $host = null): array
    {
        $curl = curl_init("http://127.0.0.1:{$this->port}".$path);
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
            CURLOPT_HTTPHEADER => ['Host: '.($host ?? "127.0.0.1:{$this->port}")],
            CURLOPT_ENCODING => 'gzip',
        ]);
        [$head, $body] = [...explode("\r\n\r\n", (string) curl_exec($curl), 2), ''];

        return [curl_getinfo($curl, CURLINFO_RESPONSE_CODE), $head, $body];
    }

    /** @param  callable(): bool  $is */
    private static function until(callable $is, string $what): void
    {
        for ($tries = 0; ! $is(); $tries++) {
            $tries < 300 || throw new RuntimeException("Waited in vain until {$what}.");
            usleep(100_000);
        }
    }

    public function test_it_is_started_once_comes_back_and_is_stopped(): void
    {
        [$one, $other] = [$this->start('--detach'), $this->start('--detach')];
        $one->start();
        $other->start();
        self::assertSame([0, 0], [$one->wait(), $other->wait()], $one->getErrorOutput().$other->getErrorOutput());
        self::assertStringContainsString('already running', $one->getOutput().$other->getOutput());
        foreach (['keeper', 'guard', 'lookout', 'lane-0', 'lane-1', 'web', 'fpm'] as $name) {
            self::assertTrue(posix_kill($this->pid($name), 0), "{$name} is not the one its file names");
        }

        // Static files are given under own names only, compressed, and pages say what browsers may do.
        self::assertSame(200, $this->get('/mark.svg')[0]);
        self::assertSame(403, $this->get('/mark.svg', 'rebound.example')[0]);
        self::assertSame(404, $this->get('/index.php')[0]);
        [$status, $head] = $this->get('/sign-in');
        self::assertSame(200, $status);
        self::assertMatchesRegularExpression("/Content-Security-Policy: default-src 'self'; script-src 'self' 'nonce-/", $head);
        self::assertStringContainsString('Content-Encoding: gzip', $head);
        self::assertStringNotContainsString('X-Powered-By', $head);
        self::assertStringContainsString("127.0.0.1:{$this->port}/sign-in", $this->get('/intake')[1]);

        // Whatever is killed comes back, the keeper too.
        $before = ['lane-1' => $this->pid('lane-1'), 'web' => $this->pid('web'), 'keeper' => $this->pid('keeper')];
        foreach ($before as $pid) {
            posix_kill($pid, SIGKILL);
        }
        self::until(
            fn (): bool => array_filter(
                $before,
                fn (int $pid, string $name): bool => $this->pid($name) === $pid || ! posix_kill($this->pid($name), 0),
                ARRAY_FILTER_USE_BOTH,
            ) === [],
            'what was killed is back',
        );
        self::until(fn (): bool => $this->get('/sign-in')[0] === 200, 'the pages answer again');

        // With the database down, a start ends nothing that goes on.
        $worker = $this->pid('lane-0');
        posix_kill((int) file_get_contents("{$this->run}/db/mysql.pid"), SIGKILL);
        self::assertSame(0, $this->start('--detach')->run());
        self::assertSame($worker, $this->pid('lane-0'));
        self::until(fn (): bool => $this->get('/sign-in')[0] === 200, 'the database is back');

        $pids = array_map($this->pid(...), ['keeper', 'guard', 'lookout', 'lane-0', 'lane-1', 'web', 'fpm']);
        $stop = $this->start('--stop');
        try {
            self::assertSame(0, $stop->run());
        } catch (ProcessTimedOutException) {
            self::fail("./start --stop did not end. It said: {$stop->getOutput()}{$stop->getErrorOutput()}");
        }
        self::assertStringContainsString('Gritty Tally is stopped.', $stop->getOutput());
        self::until(
            fn (): bool => array_filter(
                $pids,
                fn (int $pid): bool => preg_match('/^State:\s+[^Z]/m', (string) @file_get_contents("/proc/{$pid}/status")) === 1,
            ) === [],
            'all of it has ended',
        );
    }

    public function test_beyond_this_machine_it_is_not_listened_for_without_tls(): void
    {
        $this->run = $this->folder();
        $site = new Process(
            [dirname(__DIR__, 2).'/bin/site'],
            null,
            ['GRITTY_RUN' => $this->run, 'APP_LISTEN' => '0.0.0.0'],
            timeout: 30,
        );
        self::assertSame(1, $site->run());
        self::assertStringContainsString('That takes TLS: set TALLY_TLS_CERT', $site->getErrorOutput());
        $this->run = null;
    }
}
