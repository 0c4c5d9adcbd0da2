<?php

declare(strict_types=1);

namespace Tests\Stations;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;
use Tests\Support\StartsIt;

/** ./start as people use it: twice at once, with a database that is down, with pieces killed under it, and stopped. */
final class StartTest extends TestCase
{
    use StartsIt;

    private const PIECES = ['supervisor.pid', 'group.fpm', 'group.web', 'db/mysql.pid'];

    private function pid(string $file): int
    {
        // What root's supervisor writes lies in a folder of root's own.
        $folder = $file === 'supervisor.pid' && posix_geteuid() === 0 ? "{$this->run}.root" : $this->run;
        $pid = (int) @file_get_contents("{$folder}/{$file}");

        // No file, no process: never the number that means whoever asks.
        return $pid > 0 ? $pid : PHP_INT_MAX >> 33;
    }

    private static function lives(int $pid): bool
    {
        return preg_match('/^State:\s+[^Z]/m', (string) @file_get_contents("/proc/{$pid}/status")) === 1;
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

    public function test_it_is_started_once_comes_back_and_is_stopped(): void
    {
        [$one, $other] = [$this->start(['--detach']), $this->start(['--detach'])];
        $one->start();
        $other->start();
        self::assertSame([0, 0], [$one->wait(), $other->wait()], $one->getErrorOutput().$other->getErrorOutput());
        self::assertStringContainsString('already running', $one->getOutput().$other->getOutput());
        foreach (self::PIECES as $name) {
            self::assertTrue(self::lives($this->pid($name)), "{$name} does not name one that lives");
        }
        $this->mustBeShut();

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

        // Whatever is killed comes back; with the database down, a start ends nothing that goes on.
        $before = array_map($this->pid(...), array_combine(self::PIECES, self::PIECES));
        $supervisor = array_shift($before);
        foreach ($before as $pid) {
            posix_kill($pid, SIGKILL);
        }
        self::assertSame(0, $this->start(['--detach'])->run());
        self::until(
            fn (): bool => array_filter(
                $before,
                fn (int $pid, string $name): bool => $this->pid($name) === $pid || ! self::lives($this->pid($name)),
                ARRAY_FILTER_USE_BOTH,
            ) === [],
            'what was killed is back',
        );
        self::until(fn (): bool => $this->get('/sign-in')[0] === 200, 'the pages answer again');
        self::assertSame($supervisor, $this->pid('supervisor.pid'));

        // With what keeps it, all of it ends, and nothing goes on unseen; the next start brings it back.
        $pids = array_map($this->pid(...), self::PIECES);
        posix_kill($supervisor, SIGKILL);
        self::until(fn (): bool => array_filter($pids, self::lives(...)) === [], 'all of it has ended with the supervisor');
        self::assertSame(0, $this->start(['--detach'])->run());
        self::assertSame(200, $this->get('/sign-in')[0]);

        $pids = array_map($this->pid(...), self::PIECES);
        $stop = $this->start(['--stop']);
        try {
            self::assertSame(0, $stop->run());
        } catch (ProcessTimedOutException) {
            self::fail("./start --stop did not end. It said: {$stop->getOutput()}{$stop->getErrorOutput()}");
        }
        self::assertStringContainsString('Gritty Tally is stopped.', $stop->getOutput());
        self::until(fn (): bool => array_filter($pids, self::lives(...)) === [], 'all of it has ended');
        $this->mustFollowNoLink();
    }

    /** Whoever has broken in as the account of the project leads root nowhere by links in its folder. */
    private function mustFollowNoLink(): void
    {
        if (posix_geteuid() !== 0) {
            return;
        }
        $victim = $this->folder();
        $names = ['start.lock', 'migrate.log', 'lead.log', 'supervisor.conf', 'supervisor.log', 'supervisor.pid', 'station.log',
            'fpm.log', 'nginx.conf', 'fpm.conf', 'db/my.cnf', 'db/lock', 'db/install.log', 'cards/raw-1.img'];
        foreach ($names as $name) {
            @unlink("{$this->run}/{$name}");
            symlink("{$victim}/".basename($name), "{$this->run}/{$name}");
        }
        $this->start(['--detach'])->run();
        self::assertSame(['.', '..'], scandir($victim));
    }

    /** Nobody else on this machine reads what is its own or comes into the books, and nothing that listens is root. */
    private function mustBeShut(): void
    {
        $root = dirname(__DIR__, 2);
        $open = [];
        $kept = posix_geteuid() === 0 ? ["{$this->run}.root"] : [];
        foreach ([(string) $this->run, ...$kept, "{$root}/storage", "{$root}/.env"] as $secret) {
            foreach ([$secret, ...self::below($secret)] as $path) {
                // What a server has just put away is none that stays.
                $mode = is_link($path) || @filetype($path) === 'socket' ? 0 : (int) @fileperms($path);
                if (($mode & 0077) !== 0) {
                    $open[] = sprintf('%s is %o', $path, $mode & 0777);
                }
            }
        }
        self::assertSame([], $open);
        self::assertSame('', shell_exec('ss -Hltnp 2>/dev/null | grep mariadbd') ?? '', 'the books are listened for on no port');
        $asked = new Process(
            ['mariadb', '--no-defaults', "--socket={$this->run}/db/mysql.sock", '-uroot', '-BN', '-e', 'SELECT User, Host, File_priv '.
                'FROM mysql.user ORDER BY User; SELECT LOAD_FILE("/etc/passwd"), @@secure_file_priv, @@local_infile'],
        );
        self::assertSame(0, $asked->run(), $asked->getErrorOutput());
        self::assertSame(
            "gritty\tlocalhost\tN\nmariadb.sys\tlocalhost\tN\nroot\tlocalhost\tN\nNULL\t{$this->run}/db/none/\t0\n",
            $asked->getOutput(),
        );
        self::assertSame(['.', '..'], scandir("{$this->run}/db/none"));
        if (posix_geteuid() !== 0) {
            return;
        }
        foreach (['group.fpm', 'group.web', 'db/mysql.pid'] as $name) {
            $status = (string) file_get_contents("/proc/{$this->pid($name)}/status");
            self::assertMatchesRegularExpression('/^Uid:\s+([1-9]\d*)\s+\1\s+\1\s+\1$/m', $status, "{$name} is root");
            // Nothing but to open a port below 1024.
            self::assertMatchesRegularExpression('/^CapEff:\s+0{13}[04]00$/m', $status, $name);
        }
        foreach (['mariadb --no-defaults -uroot -e "SELECT 1" --socket', 'cat'] as $try) {
            $stranger = Process::fromShellCommandline("setpriv --reuid nobody --clear-groups {$try} {$this->run}/db/mysql.sock");
            self::assertNotSame(0, $stranger->run(), 'another account comes into the books');
        }
    }

    /** @return list<string> */
    private static function below(string $folder): array
    {
        $paths = [];
        foreach (is_dir($folder) ? scandir($folder) : [] as $name) {
            // Cards lie there, with rights of their own.
            if (! in_array($name, ['.', '..', 'cards'], true)) {
                array_push($paths, "{$folder}/{$name}", ...(is_link("{$folder}/{$name}") ? [] : self::below("{$folder}/{$name}")));
            }
        }

        return $paths;
    }

    #[TestWith([''])]
    #[TestWith(['1'])]
    public function test_beyond_this_machine_it_is_not_listened_for_without_tls(string $proxy): void
    {
        $this->run = $this->folder();
        $site = new Process(
            [dirname(__DIR__, 2).'/bin/site'],
            null,
            ['GRITTY_RUN' => $this->run, 'APP_LISTEN' => '0.0.0.0', ...$proxy === '' ? [] : ['TALLY_BEHIND_PROXY' => $proxy]],
            timeout: 30,
        );
        self::assertSame(1, $site->run());
        self::assertStringContainsString('That takes TLS: set TALLY_TLS_CERT', $site->getErrorOutput());
        $this->run = null;
    }
}
