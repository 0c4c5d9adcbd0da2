<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Runs\Conducting\ConductRun;
use App\Stations\Lane;
use App\Stations\Lease;
use Illuminate\Queue\CallQueuedHandler;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Fluent;
use Tally\Measured\Chain;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;
use Tally\Record\SizeParameters;
use Tests\TestCase;

final class StationTest extends TestCase
{
    private function leftRunning(): Run
    {
        return Run::query()->create([
            'card_id' => $this->card()->id,
            'station_id' => $this->station()->id,
            'slot_id' => $this->slot('Tray 3')->id,
            'kind' => 'proof',
            'state' => RunState::Running,
            'chain' => Chain::unnamed(),
            'parameters' => new SizeParameters(),
            'progress' => new Progress(Phase::Writing, 1, 4, 10, done: 4, total: 10, seconds: 1.0, rate: null),
            'started_at' => now()->subHour(),
        ]);
    }

    public function test_a_run_whose_worker_died_is_found_at_the_next_start_of_the_worker(): void
    {
        $run = $this->leftRunning();
        Queue::connection('database')->pushOn($this->station()->queue(), new ConductRun($run->id));
        DB::table('jobs')->update(['attempts' => 1, 'reserved_at' => time()]);
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
        $this->post('/cards/'.$this->card()->tag.'/runs', [
            'kind' => 'speed',
            'slot' => $this->slot('Tray 3')->id,
        ])->assertSessionHasNoErrors();
        $this->command('tally:station', ['--once' => true])->assertSuccessful();
        self::assertSame(RunState::Done, Run::query()->firstOrFail()->state);
        self::assertTrue($this->station()->hasWorker());
    }

    public function test_a_station_that_is_not_in_the_books_is_named(): void
    {
        config(['tally.station' => 'Shed']);
        $this->command('tally:station', ['--once' => true])
            ->expectsOutputToContain('No station is called “Shed”')
            ->assertFailed();
    }

    public function test_a_second_worker_is_refused(): void
    {
        $leading = Lane::leading($this->station());
        self::assertTrue($leading->take());
        $this->command('tally:station', ['--once' => true])
            ->expectsOutputToContain('already running')
            ->assertFailed();
        $leading->let();
    }

    public function test_one_name_is_for_one_folder(): void
    {
        $station = $this->station();
        $run = $this->leftRunning();
        $elsewhere = '/srv/other/storage on bench-host (0a1b2c3d)';
        $station->forceFill(['holder' => $elsewhere, 'worker_seen_at' => now()->subSeconds(5)])->save();
        $this->command('tally:station', ['--once' => true])
            ->expectsOutputToContain("is worked under by {$elsewhere}")
            ->assertFailed();
        self::assertSame(RunState::Running, $run->refresh()->state, 'what goes on there is not said to be dead');
        self::assertSame($elsewhere, $station->refresh()->holder);
        // Whoever said nothing for a while has it no longer.
        $station->forceFill(['worker_seen_at' => now()->subMinute()])->save();
        $this->command('tally:station', ['--once' => true])->assertSuccessful();
        self::assertNotSame($elsewhere, $station->refresh()->holder);
        self::assertTrue((new Lease($station))->hold(), 'it is held again by the same folder');
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

    public function test_what_goes_on_in_a_lane_is_not_left(): void
    {
        $runs = [];
        foreach ([null, 0, 1, 2] as $lane) {
            $run = $this->leftRunning();
            $run->forceFill(['lane' => $lane, 'checkpoint' => ['imprint' => '5', 'size' => 1, 'written' => 1, 'read' => 0]])->save();
            $runs[] = $run;
            $run->card->forceFill(['tag' => "T-9{$run->id}"])->save();
        }
        $states = fn (): array => array_map(fn (Run $run): RunState => $run->refresh()->state, $runs);
        $second = new Lane($this->station(), $this->station()->proofQueue(), 1);
        self::assertTrue($second->take());
        self::assertSame(getmypid(), $second->process());
        $this->command('tally:station', ['--once' => true])->assertSuccessful();
        self::assertSame([RunState::Interrupted, RunState::Interrupted, RunState::Running, RunState::Interrupted], $states());
        self::assertStringContainsString('It can be continued from there.', (string) $runs[3]->message);
        $second->let();
        self::assertNull($second->process());
        $this->command('tally:station', ['--once' => true])->assertSuccessful();
        self::assertSame(RunState::Interrupted, $runs[2]->refresh()->state);
    }

    public function test_proofs_wait_apart_so_that_none_holds_up_a_speed_run(): void
    {
        $this->post('/cards/'.$this->card()->tag.'/runs', [
            'kind' => 'proof',
            'slot' => $this->slot('Tray 3')->id,
        ])->assertSessionHasNoErrors();
        $station = $this->station();
        self::assertSame([$station->proofQueue()], DB::table('jobs')->pluck('queue')->all());
        $proving = array_filter(Lane::all($station), fn (Lane $lane): bool => $lane->queue === $station->proofQueue());
        self::assertCount(3, $proving);
        foreach ($proving as $lane) {
            self::assertTrue($lane->take());
        }
        $this->command('tally:station', ['--once' => true])->assertSuccessful();
        self::assertSame(RunState::Waiting, Run::query()->firstOrFail()->state, 'no lane of proofs is free');
        array_values($proving)[1]->let();
        $this->command('tally:station', ['--once' => true])->assertSuccessful();
        self::assertSame([RunState::Done, 1], [Run::query()->firstOrFail()->state, Run::query()->firstOrFail()->lane]);
    }

    public function test_what_is_no_order_is_taken_off_the_queue_and_not_brought_to_life(): void
    {
        $commands = [
            ['job' => CallQueuedHandler::class.'@call', 'command' => serialize(new Fluent(['a' => 1]))],
            ['job' => 'Illuminate\\Filesystem\\Filesystem@delete', 'command' => serialize(new ConductRun(1))],
        ];
        foreach ($commands as ['job' => $job, 'command' => $command]) {
            DB::table('jobs')->insert([
                'queue' => $this->station()->queue(),
                'payload' => json_encode([
                    'uuid' => 'x', 'displayName' => 'x', 'job' => $job, 'maxTries' => 1,
                    'data' => ['commandName' => ConductRun::class, 'command' => $command],
                ]),
                'attempts' => 0,
                'available_at' => 0,
                'created_at' => 0,
            ]);
            $this->command('tally:station', ['--once' => true])->assertSuccessful();
            self::assertSame(0, DB::table('jobs')->count());
            self::assertSame(0, DB::table('failed_jobs')->count());
        }
    }
}
