<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Models\Runs\Run;
use Database\Seeders\DemoGear;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tests\Support\LoopMount;
use Tests\TestCase;

/**
 * The work as it is done: orders from the pages, carried out by a worker that is a process of its own, with the framework
 * booted, on real mounts and loop devices. Nothing is in a transaction, since the worker could not see it.
 */
abstract class StationTestCase extends TestCase
{
    use LoopMount {
        tearDown as private unmountAll;
    }

    /** @var list<Process> */
    private array $workers = [];

    /** @return array<int, string> */
    protected function connectionsToTransact(): array
    {
        return [];
    }

    protected function tearDown(): void
    {
        foreach ($this->workers as $worker) {
            $worker->stop(5);
        }
        DB::statement('SET FOREIGN_KEY_CHECKS=0');
        foreach (Schema::getTableListing(DB::connection()->getDatabaseName(), false) as $table) {
            // What the migrations themselves put there stays.
            if ($table !== 'migrations') {
                DB::table($table)->truncate();
            }
        }
        DB::statement('SET FOREIGN_KEY_CHECKS=1');
        // The kit that every test finds is there for the next one again.
        $this->seed(DemoGear::class);
        $this->unmountAll();
    }

    /**
     * A bay of the station, at a place of the host.
     *
     * @param  'folder'|'raw'  $kind
     */
    protected function bay(string $name, string $path, string $kind = 'folder'): int
    {
        config(['tally.folders' => ['/tmp']]);
        $slot = $this->slot($name);
        $slot->forceFill(['path' => $path, 'kind' => $kind])->save();

        return $slot->id;
    }

    /**
     * A worker of its own that takes one waiting run and ends.
     *
     * @param  array<string, string>  $env
     */
    protected function worker(array $env = []): Process
    {
        $worker = new Process(
            [PHP_BINARY, base_path('artisan'), 'tally:station', '--once'],
            base_path(),
            ['TALLY_FOLDERS' => '/tmp', 'TALLY_PLAIN_FOLDERS' => '', ...$env],
            timeout: 120,
        );
        $worker->start();
        $this->workers[] = $worker;

        return $worker;
    }

    /** @param  callable(): bool  $is */
    protected static function until(callable $is, string $what, float $seconds = 30): void
    {
        for ($end = hrtime(true) + $seconds * 1e9; ! $is(); usleep(20_000)) {
            hrtime(true) < $end || throw new RuntimeException("Waited {$seconds} s in vain until {$what}.");
        }
    }

    protected static function bytesIn(string $folder): int
    {
        $bytes = 0;
        $files = glob("{$folder}/gritty-tally-*/*");
        foreach ($files === false ? [] : $files as $file) {
            clearstatcache();
            $bytes += (int) @filesize($file);
        }

        return $bytes;
    }

    protected function newest(): Run
    {
        return Run::query()
            ->with(['card', 'slot', 'station'])
            ->latest('id')
            ->firstOrFail();
    }
}
