<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Runs\Conducting\ConductRun;
use App\Runs\Conducting\RunConductor;
use App\Runs\Conducting\RunObserver;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Queue\Worker;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tally\Device\AllowedFolders;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;
use Tally\Value\Values;
use Tally\Verdict\VerdictKind;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

final class RunTest extends TestCase
{
    use TemporaryFolder;

    private function folderSlot(string $path): Slot
    {
        $slot = $this->slot('Bay 2');
        $slot->forceFill(['path' => $path])->save();
        config(['tally.folders' => ['/tmp']]);

        return $slot;
    }

    public function test_an_order_waits_on_the_stations_own_queue(): void
    {
        Queue::fake();
        $this->post('/cards/'.$this->card()->tag.'/runs', ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id])->assertRedirect();
        $run = Run::query()->firstOrFail();
        self::assertSame(RunState::Waiting, $run->state);
        self::assertSame(1_000_000_000, Values::write($run->parameters)['size'] ?? null);
        Queue::assertPushedOn('station-bench-a', ConductRun::class);
    }

    public function test_a_speed_run_is_carried_out_and_judged(): void
    {
        $card = $this->card();
        $run = $this->conduct($card, 'speed', 'Tray 3');
        self::assertSame(RunState::Done, $run->state);
        self::assertNotNull($run->result);
        $record = $run->speeds() ?? self::fail('nothing was measured');
        self::assertCount(5, $record->writes);
        self::assertEqualsWithDelta(39e6, $record->writes[0], 2e6);
        self::assertNotNull($run->sample()->first());
        self::assertSame('prove', $card->refresh()->next_step->value);
    }

    public function test_a_proof_makes_an_honest_card_sound(): void
    {
        $card = $this->card();
        $this->conduct($card, 'speed', 'Tray 3');
        $run = $this->conduct($card, 'proof', 'Tray 3');
        self::assertSame(RunState::Done, $run->state);
        self::assertSame(VerdictKind::Sound, $card->refresh()->verdict);
    }

    /** @return iterable<string, array{string, int, int|null}> medium, capacity, wrap */
    public static function fakes(): iterable
    {
        yield 'labelled 32, wraps at 8' => ['wraps,size=32GB,true=8GB', 8_000_000_000, 8_000_000_000];
        yield 'labelled 32, keeps 4' => ['drops,size=32GB,true=4GB', 4_000_000_000, null];
    }

    #[DataProvider('fakes')]
    public function test_a_proof_finds_a_fake_to_the_byte(string $medium, int $capacity, ?int $wrap): void
    {
        $card = $this->card(['stand_in' => $medium]);
        $run = $this->conduct($card, 'proof', 'Tray 3');
        self::assertNotNull($run->result);
        $record = $run->proof() ?? self::fail('nothing was proven');
        self::assertSame([$capacity, $wrap], [$record->diagnosis->capacity->count, $record->diagnosis->wrap]);
        self::assertSame(VerdictKind::Sham, $card->refresh()->verdict);
    }

    public function test_what_is_kept_of_a_proof_comes_back_as_it_was(): void
    {
        $run = $this->conduct($this->card(['stand_in' => 'patchy,size=32GB,patches=4']), 'proof', 'Tray 3');
        self::assertNotNull($run->result);
        $record = $run->proof() ?? self::fail('nothing was proven');
        self::assertEquals($run->rawResult(), json_decode((string) json_encode(Values::plain($record)), true));
        self::assertGreaterThan(2 ** 53, PHP_INT_MAX);
        self::assertIsString($run->rawResult()['imprint'] ?? null);
    }

    public function test_a_new_card_gets_a_made_up_medium_and_keeps_it(): void
    {
        Queue::fake();
        $card = $this->card(['stand_in' => null]);
        $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'proof',
            'slot' => $this->slot('Tray 3')->id,
            'stand_in' => 'wraps',
        ])->assertSessionHasNoErrors();
        $line = $card->refresh()->stand_in;
        self::assertStringStartsWith('wraps,', (string) $line);
        Run::query()->update(['state' => RunState::Done]);
        $this->post("/cards/{$card->tag}/runs", ['kind' => 'proof', 'slot' => $this->slot('Tray 3')->id, 'stand_in' => 'honest']);
        self::assertSame($line, $card->refresh()->stand_in);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function mistakes(): iterable
    {
        yield 'no slot' => [['slot' => null], 'slot', 'Choose the slot'];
        yield 'a slot of nowhere' => [['slot' => 99_999], 'slot', 'not one of Bench A’s'];
        yield 'unknown kind' => [['kind' => 'polish'], 'kind', '“polish”'];
        yield 'size that is none' => [['size' => 'some'], 'size', '“some” is not a size'];
        yield 'size of nothing' => [['size' => '0'], 'size', 'zero or less'];
        yield 'too many runs' => [['runs' => 51], 'runs', '“51”'];
        yield 'no runs' => [['runs' => 0], 'runs', '“0”'];
        yield 'half a run' => [['runs' => '2.5'], 'runs', '“2.5”'];
        yield 'unknown stand-in' => [['stand_in' => 'golden'], 'stand_in', '“golden” is not on the shelf'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('mistakes')]
    public function test_a_mistaken_order_gets_a_sentence_and_nothing_waits(array $change, string $field, string $words): void
    {
        $this->post('/cards/'.$this->card()->tag.'/runs', [
            'kind' => 'speed',
            'slot' => $this->slot('Tray 3')->id,
            ...$change,
        ])->assertSessionHasErrors($field);
        $errors = session('errors');
        self::assertInstanceOf(\Illuminate\Support\ViewErrorBag::class, $errors);
        self::assertStringContainsString($words, $errors->first($field));
        self::assertSame(0, Run::query()->count());
    }

    public function test_a_card_that_does_not_fit_the_reader_is_refused(): void
    {
        $this->post('/cards/'.$this->card()->tag.'/runs', [
            'kind' => 'speed',
            'slot' => $this->slot('Tray 5')->id,
        ])->assertSessionHasErrors(['slot' => 'R5 does not take SD with UHS-I: choose another slot.']);
    }

    public function test_one_card_has_one_run_at_a_time(): void
    {
        Queue::fake();
        $card = $this->card();
        $order = ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id];
        $this->post("/cards/{$card->tag}/runs", $order)->assertSessionHasNoErrors();
        $this->post("/cards/{$card->tag}/runs", $order)->assertSessionHasErrors([
            'slot' => 'T-1 already has a run going or waiting: let it end, or stop it.',
        ]);
        self::assertSame(1, Run::query()->count());
    }

    public function test_a_run_in_a_real_folder_leaves_it_as_it_was(): void
    {
        $folder = $this->folder();
        file_put_contents("{$folder}/clip.mov", 'footage');
        $this->folderSlot($folder);
        $run = $this->conduct($this->card(), 'proof', 'Bay 2', '20 MB');
        self::assertSame(RunState::Done, $run->state, (string) $run->message);
        self::assertSame(20_000_000, $run->rawResult()['holds'] ?? null);
        self::assertSame(['clip.mov'], self::everything($folder));
    }

    public function test_a_folder_outside_what_the_station_allows_is_refused(): void
    {
        $outside = $this->folder();
        $allowed = $this->folder();
        symlink($outside, "{$allowed}/link");
        $slot = $this->folderSlot($outside);
        config(['tally.folders' => [$allowed]]);
        foreach ([$outside, "{$allowed}/../".basename($outside), "{$allowed}/link"] as $path) {
            $slot->forceFill(['path' => $path])->save();
            $this->post('/cards/'.$this->cardOnce()->tag.'/runs', [
                'kind' => 'proof',
                'slot' => $slot->id,
                'size' => '1 MB',
            ])->assertSessionHasErrors('slot');
        }
        self::assertSame(0, Run::query()->count());
        self::assertSame([], self::everything($outside));
    }

    private function cardOnce(): Card
    {
        return Card::query()->first() ?? $this->card();
    }

    public function test_a_folder_that_turns_into_a_link_after_the_order_is_refused_by_the_worker(): void
    {
        Queue::fake();
        $allowed = $this->folder();
        $outside = $this->folder();
        mkdir("{$allowed}/card");
        $slot = $this->folderSlot("{$allowed}/card");
        config(['tally.folders' => [$allowed]]);
        $this->post('/cards/'.$this->card()->tag.'/runs', [
            'kind' => 'proof',
            'slot' => $slot->id,
            'size' => '1 MB',
        ])->assertSessionHasNoErrors();
        rmdir("{$allowed}/card");
        symlink($outside, "{$allowed}/card");
        $run = Run::query()
            ->with(['card', 'slot', 'station'])
            ->firstOrFail();
        (new RunConductor(new AllowedFolders([$allowed]), 0))->conduct($run);
        self::assertSame(RunState::Failed, $run->state);
        self::assertStringContainsString('outside the folders', (string) $run->message);
        self::assertSame([], self::everything($outside));
    }

    public function test_a_run_that_cannot_begin_fails_with_a_sentence(): void
    {
        $folder = $this->folder();
        $this->folderSlot($folder);
        $run = $this->conduct($this->card(), 'proof', 'Bay 2', '900 PB');
        self::assertSame(RunState::Failed, $run->state);
        self::assertStringContainsString('900 PB was asked for', (string) $run->message);
    }

    public function test_a_run_stopped_while_it_waits_never_begins(): void
    {
        Queue::fake();
        $card = $this->card();
        $this->post("/cards/{$card->tag}/runs", ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id]);
        $run = Run::query()
            ->with(['card', 'slot', 'station'])
            ->firstOrFail();
        $this->post("/runs/{$run->id}/stop")->assertRedirect();
        $run->refresh();
        (new RunConductor(new AllowedFolders([]), 0))->conduct($run);
        self::assertSame([RunState::Stopped, null], [$run->state, $run->started_at]);
    }

    public function test_a_run_is_stopped_from_the_page_while_it_goes(): void
    {
        Queue::fake();
        $card = $this->card();
        $this->post("/cards/{$card->tag}/runs", ['kind' => 'proof', 'slot' => $this->slot('Tray 3')->id]);
        $run = Run::query()
            ->with(['card', 'slot', 'station'])
            ->firstOrFail();
        // Somebody presses the button as soon as the run has said anything.
        DB::listen(function (QueryExecuted $query) use ($run): void {
            if (str_contains($query->sql, 'update `runs` set `progress`')) {
                DB::table('runs')
                    ->where('id', $run->id)
                    ->update(['stop_requested' => true]);
            }
        });
        (new RunConductor(new AllowedFolders([]), 2))->conduct($run);
        self::assertSame(RunState::Stopped, $run->refresh()->state);
        self::assertSame(VerdictKind::Unproven, $card->refresh()->verdict);
    }

    public function test_a_run_ends_and_clears_up_when_its_station_is_shut_down(): void
    {
        Queue::fake();
        $folder = $this->folder();
        $slot = $this->folderSlot($folder);
        $this->post('/cards/'.$this->card()->tag.'/runs', ['kind' => 'proof', 'slot' => $slot->id, 'size' => '100 MB']);
        $run = Run::query()
            ->with(['card', 'slot', 'station'])
            ->firstOrFail();
        $worker = $this->app->make('queue.worker');
        self::assertInstanceOf(Worker::class, $worker);
        $worker->shouldQuit = true;
        $this->app->make(RunConductor::class)->conduct($run);
        self::assertSame([RunState::Stopped, 'Stopped because the station was shut down.'], [$run->state, $run->message]);
        self::assertSame([], self::everything($folder));
    }

    public function test_stopping_a_run_that_has_ended_changes_nothing(): void
    {
        $run = $this->conduct($this->card(), 'speed', 'Tray 3');
        $this->post("/runs/{$run->id}/stop");
        self::assertSame([RunState::Done, false], [$run->refresh()->state, $run->stop_requested]);
    }

    public function test_a_run_is_not_carried_out_twice(): void
    {
        $run = $this->conduct($this->card(), 'speed', 'Tray 3');
        $before = $run->refresh()->getAttributes();
        (new RunConductor(new AllowedFolders([]), 0))->conduct($run);
        self::assertSame($before, $run->refresh()->getAttributes());
    }

    public function test_progress_is_reported_at_most_four_times_a_second(): void
    {
        Queue::fake();
        $this->post('/cards/'.$this->card()->tag.'/runs', ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id]);
        $run = Run::query()->firstOrFail();
        $watch = new RunObserver($run);
        DB::enableQueryLog();
        for ($i = 1; $i <= 10_000; $i++) {
            $watch->progress(new Progress(Phase::Writing, 1, $i, 10_000, done: $i, total: 20_000, seconds: $i / 1000, rate: 5e6));
        }
        $updates = array_filter(DB::getQueryLog(), fn (array $entry): bool => str_contains($entry['query'], 'update `runs`'));
        self::assertLessThanOrEqual(2, count($updates));
        self::assertSame('writing', $run->refresh()->progress?->phase->value);
    }

    public function test_a_database_that_is_away_for_a_moment_does_not_end_a_run(): void
    {
        Queue::fake();
        $this->post('/cards/'.$this->card()->tag.'/runs', ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id]);
        $run = Run::query()->firstOrFail();
        $watch = new RunObserver($run);
        config(['database.connections.away' => [...config()->array('database.connections.mariadb'), 'unix_socket' => '/nowhere']]);
        DB::setDefaultConnection('away');
        $watch->progress(new Progress(Phase::Writing, 1, 1, 2, done: 1, total: 4, seconds: 1.0, rate: 5e6));
        DB::setDefaultConnection('mariadb');
        self::assertNull($run->refresh()->progress);
        // Once it is back, the next report comes through.
        usleep(300_000);
        $watch->progress(new Progress(Phase::Reading, 1, 2, 2, done: 3, total: 4, seconds: 2.0, rate: 5e6));
        self::assertSame('reading', $run->refresh()->progress?->phase->value);
    }

    public function test_a_job_that_breaks_leaves_a_sentence(): void
    {
        Queue::fake();
        $this->post('/cards/'.$this->card()->tag.'/runs', ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id]);
        $run = Run::query()->firstOrFail();
        (new ConductRun($run->id))->failed(new RuntimeException('out of paper'));
        self::assertSame(RunState::Failed, $run->refresh()->state);
        self::assertStringContainsString('out of paper', (string) $run->message);
    }

    public function test_a_verdict_follows_every_change_of_the_evidence(): void
    {
        $card = $this->card(['stand_in' => 'honest,size=32GB,write=5MB/s,read=88MB/s', 'write' => null]);
        $this->conduct($card, 'speed', 'Tray 3');
        self::assertSame(VerdictKind::Slow, $card->refresh()->verdict);
        $card->forceFill(['marks' => []])->save();
        CardEvidence::refresh($card);
        self::assertSame(VerdictKind::Unproven, $card->refresh()->verdict);
    }
}
