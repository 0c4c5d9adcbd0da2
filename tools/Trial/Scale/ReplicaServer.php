<?php

declare(strict_types=1);

namespace Tools\Trial\Scale;

use PDO;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tools\Trial\FreePort;

/** A second MariaDB that follows the books by its own replication, as one on another machine would. */
final class ReplicaServer
{
    public readonly int $port;

    private readonly Process $server;

    private readonly PDO $owner;

    /** Questions of its owner. */
    private int $own = 0;

    /**
     * @param  string  $folder  of the account under which the books run
     * @param  string  $certificate  of the books, and its key beside it
     * @param  string  $said  what `bin/database replica` says to it
     */
    public function __construct(private readonly string $folder, string $address, string $certificate, string $said)
    {
        $this->port = FreePort::take();
        $key = substr($certificate, 0, -3).'key';
        file_put_contents("{$folder}/my.cnf", <<<CNF
        [mariadbd]
        datadir={$folder}/data
        socket={$folder}/sock
        pid-file={$folder}/pid
        log-error={$folder}/error.log
        bind-address={$address}
        port={$this->port}
        server-id=2
        read-only=1
        ssl-cert={$certificate}
        ssl-key={$key}
        innodb_buffer_pool_size=128M
        character-set-server=utf8mb4
        collation-server=utf8mb4_unicode_ci
        CNF);
        (new Process([base_path('bin/owner')], base_path(), ['GRITTY_RUN' => dirname($folder)], timeout: 60))->mustRun();
        $as = [base_path('bin/as'), 'web'];
        $lay = ['mariadb-install-db', "--defaults-file={$folder}/my.cnf", '--auth-root-authentication-method=normal', '--skip-test-db'];
        (new Process([...$as, ...$lay], base_path(), timeout: 60))->mustRun();
        $this->server = new Process(
            [...$as, 'mariadbd', "--defaults-file={$folder}/my.cnf"],
            base_path(),
            ['PATH' => getenv('PATH').':/usr/sbin'],
            timeout: null,
        );
        $this->server->disableOutput();
        $this->server->start();
        for ($tries = 0; ! file_exists("{$folder}/sock"); $tries++) {
            $tries < 100 || throw new RuntimeException("The replica does not start; {$folder}/error.log says why.");
            usleep(100_000);
        }
        $this->owner = new PDO("mysql:unix_socket={$folder}/sock", 'root');
        $said = (string) preg_replace("/MASTER_SSL_CA='[^']+'/", "MASTER_SSL_CA='{$certificate}'", $said);
        foreach (explode(';', (string) preg_replace('/^--.*$/m', '', $said)) as $one) {
            if (trim($one) !== '') {
                $this->owner->exec($one);
            }
        }
    }

    /** Said to it by its owner, such as `STOP SLAVE SQL_THREAD`. */
    public function say(string $sql): void
    {
        $this->owner->exec($sql);
    }

    /** @return float seconds until it had all that stands in the log of the books up to there */
    public function catchesUp(string $position, float $patience): float
    {
        $began = hrtime(true);
        $this->own++;
        $asked = $this->owner->prepare('SELECT MASTER_GTID_WAIT(?, ?)');
        $asked->execute([$position, $patience]);
        $asked->fetchColumn() === 0 || throw new RuntimeException("The replica does not follow; {$this->folder}/error.log says why.");

        return (hrtime(true) - $began) / 1e9;
    }

    /** @return int questions that were put to it by others */
    public function asked(): int
    {
        $asked = $this->owner->prepare("SELECT variable_value FROM information_schema.global_status WHERE variable_name = 'COM_SELECT'");
        $asked->execute();

        return is_numeric($count = $asked->fetchColumn()) ? (int) $count - ++$this->own : 0;
    }

    public function end(): void
    {
        $this->server->stop(30);
    }
}
