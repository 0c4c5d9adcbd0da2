<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use App\Runs\Filing\Outcome;
use App\Runs\Filing\UnfiledResult;
use App\Stations\BenchBook;
use Inertia\Testing\AssertableInertia;
use Symfony\Component\Process\Process;
use Tally\Probe\SpeedPlan;
use Tally\Probe\SpeedResult;
use Tally\Quantity\Bytes;
use Tally\Record\SpeedRecord;

/** Three benches with storage of their own work on one set of books: each takes its own runs and nobody else's. */
final class ThreeBenchesTest extends StationTestCase
{
    /** @var list<Process> */
    private array $processes = [];

    protected function tearDown(): void
    {
        foreach ($this->processes as $process) {
            $process->stop(5);
        }
        parent::tearDown();
    }

    private function bench(string $name): Station
    {
        $station = Station::query()->where('name', $name)->first() ?? BenchBook::found($name, $this->station()->host_id);
        BenchBook::keep($station, null, [
            'name' => "Bay of {$name}",
            'kind' => 'folder',
            'path' => $this->mounted('ext4', 48),
            'reader_id' => Reader::query()->where('tag', 'R1')->firstOrFail()->id,
            'port_id' => Port::query()->where('host_id', $station->host_id)->firstOrFail()->id,
        ]);

        return $station;
    }

    private function open(string $name): void
    {
        $storage = $this->folder();
        foreach (['app/private', 'framework/cache', 'framework/views', 'logs'] as $folder) {
            mkdir("{$storage}/{$folder}", recursive: true);
        }
        $this->processes[] = $process = new Process(
            [PHP_BINARY, base_path('artisan'), 'tally:station'],
            base_path(),
            ['TALLY_STATION' => $name, 'LARAVEL_STORAGE_PATH' => $storage, 'TALLY_FOLDERS' => '/tmp', 'TALLY_PLAIN_FOLDERS' => ''],
            timeout: 120,
        );
        $process->start();
    }

    private function order(string $bench, string $tag): Run
    {
        config(['tally.station' => $bench, 'tally.folders' => ['/tmp']]);
        $slot = Slot::query()
            ->where('name', "Bay of {$bench}")
            ->firstOrFail();
        $this->smallCard(48 << 20, $tag);
        $this->post("/cards/{$tag}/runs", [
            'kind' => 'speed',
            'slot' => $slot->id,
            'size' => '4 MB',
            'runs' => 2,
        ])->assertSessionHasNoErrors();

        return $this->newest();
    }

    private static function isDone(Run $run): bool
    {
        return Run::query()->whereKey($run->id)->where('state', RunState::Done)->exists();
    }

    public function test_each_bench_takes_its_own_runs_and_those_of_one_that_is_away_wait(): void
    {
        foreach (['Bench A', 'Bench B', 'Bench C'] as $name) {
            $this->bench($name);
        }
        $this->open('Bench A');
        $this->open('Bench B');
        $runs = ['A' => $this->order('Bench A', 'A-1'), 'B' => $this->order('Bench B', 'B-1'), 'C' => $this->order('Bench C', 'C-1')];
        self::until(fn (): bool => self::isDone($runs['A']) && self::isDone($runs['B']), 'both benches are done', 60);
        self::assertSame(RunState::Waiting, $runs['C']->refresh()->state);
        // It is told which bench is away, and that nobody else takes what waits for it.
        $this->getJson("/pulse?run={$runs['C']->id}")->assertJsonPath('running.away', 'Bench C');
        self::assertNull($this->getJson("/pulse?run={$runs['A']->id}")->json('running'));
        // A slot of another bench is not one of this one's.
        config(['tally.station' => 'Bench A']);
        $this->post('/cards/A-1/runs', [
            'kind' => 'speed',
            'slot' => Slot::query()->where('name', 'Bay of Bench B')->firstOrFail()->id,
        ])->assertSessionHasErrors('slot');
        // What lies in a slot of another machine is what its bench saw.
        self::until(
            fn (): bool => Slot::query()->where('name', 'Bay of Bench B')->firstOrFail()->seen?->medium !== null,
            'Bench B has told what is in its slot',
        );
        $this->get('/benches')
            ->assertOk()
            ->assertInertia(
                fn (AssertableInertia $page): AssertableInertia => $page
                    ->where('benches.0.here', true)
                    ->where('benches.0.away', false)
                    ->where('benches.2.name', 'Bench C')
                    ->where('benches.2.away', true)
                    ->where('benches.2.state', 'was never seen; its runs wait'),
            );
        $this->open('Bench C');
        self::until(fn (): bool => self::isDone($runs['C']), 'Bench C has come and done it', 60);
    }

    public function test_a_bench_that_vanished_keeps_no_card_waiting_and_what_it_measured_still_comes_in(): void
    {
        $bench = $this->bench('Bench B');
        $going = $this->order('Bench B', 'B-1');
        $waiting = $going->replicate();
        $waiting->save();
        config(['tally.station' => 'Bench A']);
        $going->forceFill(['state' => RunState::Running, 'started_at' => now()->subHour()])->save();
        $bench->forceFill(['worker_seen_at' => now()])->save();
        $this->post("/benches/{$bench->id}/end")->assertSessionHasErrors('slot');
        $bench->forceFill(['worker_seen_at' => now()->subMinutes(20)])->save();
        $this->get('/benches')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('benches.1.away', true)->where('benches.1.left', 2),
        );
        $this->post("/benches/{$bench->id}/end")->assertSessionHasNoErrors();
        self::assertSame([RunState::Interrupted, RunState::Stopped], [$going->refresh()->state, $waiting->refresh()->state]);
        self::assertStringContainsString('Not known is whether it goes on writing', (string) $going->message);
        self::assertTrue($going->stop_requested, 'should it come back in the middle of it, it stops there too');
        $this->get('/benches')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('benches.1.left', 0));
        // The bench is back, with a result on its disk.
        $result = new SpeedResult(Bytes::of(4_000_000), [], [], true, wrong: 0, trace: [], stopped: false);
        UnfiledResult::put(
            $going,
            Outcome::of(SpeedRecord::of($result, SpeedPlan::plain(Bytes::of(4_000_000))), ['write' => [], 'read' => []], false, null),
        );
        UnfiledResult::fileAll();
        self::assertSame(RunState::Done, $going->refresh()->state);
    }

    public function test_two_benches_whose_names_are_alike_would_take_each_others_runs_and_are_refused(): void
    {
        $this->post('/benches', ['station' => 'bench-a', 'host' => $this->station()->host_id])->assertSessionHasErrors('station');
        $this->post('/benches', ['station' => 'Bench B', 'host' => $this->station()->host_id])->assertSessionHasNoErrors();
        $station = $this->station();
        $slot = [
            'name' => 'Bay 9',
            'kind' => 'folder',
            'path' => '/media/bay-9',
            'reader' => Reader::query()->firstOrFail()->id,
            'port' => Port::query()->where('host_id', $station->host_id)->firstOrFail()->id,
        ];
        foreach (
            [
                ['name' => ''],
                ['kind' => 'shelf'],
                ['path' => ''],
                ['path' => 'media/bay'],
                ['path' => "/media/\x07"],
                ['reader' => 999],
                ['port' => 999],
                ['port' => Port::query()->where('host_id', '!=', $station->host_id)->firstOrFail()->id],
                ['name' => 'Bay 1'],
            ] as $wrong
        ) {
            $this->post("/benches/{$station->id}/slots", [...$slot, ...$wrong])->assertSessionHasErrors();
        }
        $this->post("/benches/{$station->id}/slots", $slot)->assertSessionHasNoErrors();
        $kept = Slot::query()->where('name', 'Bay 9')->firstOrFail();
        $this->put("/slots/{$kept->id}", [...$slot, 'path' => '/media/bay-10'])->assertSessionHasNoErrors();
        self::assertSame('/media/bay-10', $kept->refresh()->path);
        // While a run waits there, it stays as it is.
        $card = $this->card();
        $this->post("/cards/{$card->tag}/runs", ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id])->assertSessionHasNoErrors();
        $this->delete("/slots/{$this->slot('Tray 3')->id}")->assertSessionHasErrors('slot');
        $this->delete("/slots/{$kept->id}")->assertSessionHasNoErrors();
        self::assertNull(Slot::query()->find($kept->id));
    }
}
