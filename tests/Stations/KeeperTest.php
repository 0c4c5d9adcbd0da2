<?php

declare(strict_types=1);

namespace Tests\Stations;

use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** What keeps the workers running, as it is: a process of its own that sees only what is in the database for good. */
final class KeeperTest extends TestCase
{
    use TemporaryFolder;

    public function test_a_worker_a_lane_and_one_that_died_is_started_again(): void
    {
        $folder = $this->folder();
        $aside = DB::connectUsing('aside', (array) config('database.connections.'.DB::getDefaultConnection()));
        $host = $aside->table('hosts')->insertGetId(['name' => 'Host of lanes']);
        $aside->table('stations')->insert(['name' => 'Bench of lanes', 'host_id' => $host]);
        // Without a configuration there, PHP and web server cannot begin: that must keep nothing else from running.
        $process = new Process(
            [base_path('bin/keep')],
            base_path(),
            [
                'GRITTY_RUN' => $folder,
                'KEEPER_ALONE' => '1',
                'DB_DATABASE' => DB::connection()->getDatabaseName(),
                'TALLY_PROOFS_AT_ONCE' => '2',
                'TALLY_STATION' => 'Bench of lanes',
            ],
            timeout: 120,
        );
        $workers = ['lookout', 'lane-0', 'lane-1', 'lane-2'];
        $pids = fn (): array => array_map(fn (string $name): int => (int) @file_get_contents("{$folder}/{$name}.pid"), $workers);
        try {
            $process->start();
            $all = fn (): bool => array_filter($pids(), self::lives(...)) === $pids();
            self::assertTrue($this->soon($all), 'one looks, one measures, two prove');
            self::assertFileDoesNotExist("{$folder}/lane-3.pid");
            $before = $pids();
            posix_kill($before[2], SIGKILL);
            self::assertTrue($this->soon(fn (): bool => $pids()[2] !== $before[2] && self::lives($pids()[2])), 'it is started again');
            self::assertSame([$before[0], $before[1], $before[3]], [$pids()[0], $pids()[1], $pids()[3]], 'and no other');
            $last = $pids();
            $process->signal(SIGTERM);
            $process->wait();
            self::assertSame([], array_filter($last, self::lives(...)), 'all of them end with it');
        } finally {
            $process->stop(0);
            $aside->table('stations')->where('name', 'Bench of lanes')->delete();
            $aside->table('hosts')->where('id', $host)->delete();
        }
    }

    /** One that has ended but was not yet asked after still has its number. */
    private static function lives(int $pid): bool
    {
        return $pid > 0 && preg_match('/^State:\s+[^Z]/m', (string) @file_get_contents("/proc/{$pid}/status")) === 1;
    }

    /** @param  callable(): bool  $is */
    private function soon(callable $is): bool
    {
        for ($tries = 0; $tries < 300; $tries++) {
            if ($is()) {
                return true;
            }
            usleep(100_000);
        }

        return false;
    }
}
