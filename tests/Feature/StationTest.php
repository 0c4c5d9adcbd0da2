<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Run;
use App\Runs\ChainRecord;
use App\Runs\RunState;
use Illuminate\Support\Facades\DB;
use Tally\Chain\Path;
use Tests\TestCase;

final class StationTest extends TestCase
{
    private function leftRunning(): Run
    {
        return Run::query()->create([
            'card_id' => $this->card()->id, 'station_id' => $this->station()->id, 'slot_id' => $this->slot('Tray 3')->id, 'kind' => 'proof',
            'state' => RunState::Running, 'chain' => ChainRecord::pack(Path::unnamed()), 'parameters' => ['size' => 0, 'runs' => 1],
            'progress' => ['phase' => 'writing', 'share' => 0.4], 'started_at' => now()->subHour(),
        ]);
    }

    public function test_a_run_whose_worker_died_is_found_at_the_next_start_of_the_worker(): void
    {
        $run = $this->leftRunning();
        DB::table('jobs')->insert(['queue' => $this->station()->queue(), 'payload' => '{}', 'attempts' => 1, 'reserved_at' => time(), 'available_at' => time(), 'created_at' => time()]);
        $this->command('tally:station', ['--once' => true])->assertSuccessful();
        $run->refresh();
        self::assertSame(RunState::Interrupted, $run->state);
        self::assertStringContainsString('The worker of this station died', (string) $run->message);
        self::assertNull($run->progress);
        self::assertSame(0, DB::table('jobs')->count(), 'the dead worker’s job is not taken up again by itself');
    }

    public function test_runs_of_other_stations_are_left_alone(): void
    {
        $run = $this->leftRunning();
        $run->forceFill(['station_id' => null])->save();
        $this->command('tally:station', ['--once' => true])->run();
        self::assertSame(RunState::Running, $run->refresh()->state);
    }

    public function test_the_worker_takes_what_waits(): void
    {
        $this->post('/cards/'.$this->card()->tag.'/runs', ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id])->assertSessionHasNoErrors();
        $this->command('tally:station', ['--once' => true])->assertSuccessful();
        self::assertSame(RunState::Done, Run::query()->firstOrFail()->state);
        self::assertTrue($this->station()->hasWorker());
    }

    public function test_a_station_that_is_not_in_the_books_is_named(): void
    {
        config(['tally.station' => 'Shed']);
        $this->command('tally:station', ['--once' => true])->expectsOutputToContain('No station is called “Shed”')->assertFailed();
    }

    public function test_a_second_worker_is_refused(): void
    {
        $name = DB::connection()->getDatabaseName().'-'.$this->station()->queue();
        $lock = fopen(storage_path("framework/{$name}.lock"), 'c');
        self::assertNotFalse($lock);
        flock($lock, LOCK_EX);
        $this->command('tally:station', ['--once' => true])->expectsOutputToContain('already running')->assertFailed();
        fclose($lock);
    }

    public function test_a_worker_that_said_nothing_for_long_is_taken_to_be_away(): void
    {
        $station = $this->station();
        self::assertFalse($station->hasWorker());
        $station->forceFill(['worker_seen_at' => now()])->save();
        self::assertTrue($station->hasWorker());
        $station->forceFill(['worker_seen_at' => now()->subMinute()])->save();
        self::assertFalse($station->hasWorker());
    }
}
