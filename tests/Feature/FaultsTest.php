<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunSample;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Runs\Conducting\RunConductor;
use App\Runs\Conducting\RunProgressSaver;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Queue;
use Inertia\Testing\AssertableInertia;
use Tally\Device\AllowedFolders;
use Tally\Probe\Observing\Phase;
use Tally\Probe\SpeedPlan;
use Tally\Probe\SpeedResult;
use Tally\Probe\SpeedRun;
use Tally\Probe\SustainedResult;
use Tally\Probe\SustainedRun;
use Tally\Quantity\Bytes;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tests\Support\StopAt;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** What goes wrong in mid-run: a sentence, the evidence so far kept, nothing counted that was not measured. */
final class FaultsTest extends TestCase
{
    use TemporaryFolder;

    private function going(Card $card, string $kind): Run
    {
        Queue::fake();
        $this->post("/cards/{$card->tag}/runs", ['kind' => $kind, 'slot' => $this->slot('Tray 3')->id])->assertSessionHasNoErrors();
        $run = Run::query()->latest('id')->firstOrFail();
        $run->forceFill(['state' => RunState::Running, 'started_at' => now()])->save();

        return $run;
    }

    public function test_a_worker_killed_in_mid_run_takes_no_whole_passage_along(): void
    {
        $card = $this->card();
        $run = $this->going($card, 'speed');
        $clock = new SimulatedClock();
        $plan = SpeedPlan::plain(Bytes::gigabytes(1));
        $saver = new RunProgressSaver(
            $run,
            fn (SpeedResult $soFar): SpeedRecord => SpeedRecord::of($soFar, $plan),
            fn (SpeedResult $soFar): array => ['write' => $soFar->trace, 'read' => []],
            0,
        );
        // Cut off in the fourth reading: the books know of four writes and three reads.
        (new SpeedRun($plan))->on(
            new SimulatedDevice(Medium::parse('honest,size=32GB,write=39MB/s,read=88MB/s'), $clock),
            $clock,
            new StopAt(Phase::Reading, 0.5, 4),
            $saver,
        );
        self::assertFalse($run->refresh()->counts());
        $this->command('tally:station', ['--once' => true])

            ->assertExitCode(0);
        $run->refresh();
        self::assertSame(RunState::Interrupted, $run->state);
        self::assertStringContainsString('What was measured whole before counts', (string) $run->message);
        self::assertCount(4, $run->speeds()->writes ?? []);
        self::assertCount(3, $run->speeds()->reads ?? []);
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->has('claimLine.ways.0.runs', 4)
                ->has('claimLine.ways.1.runs', 3)
                ->where('claimLine.caption', fn (string $words): bool => str_contains($words, '(interrupted)')),
        );
    }

    public function test_a_long_write_that_dies_keeps_what_was_settled(): void
    {
        $card = $this->card();
        $run = $this->going($card, 'sustained');
        $clock = new SimulatedClock();
        $saver = new RunProgressSaver(
            $run,
            SustainedRecord::of(...),
            fn (SustainedResult $soFar): array => ['write' => $soFar->trace, 'read' => [], 'heat' => $soFar->heat],
            0,
        );
        (new SustainedRun())->on(
            new SimulatedDevice(Medium::parse('honest,size=32GB,write=39MB/s,read=88MB/s'), $clock),
            $clock,
            new StopAt(Phase::Writing, 0.4),
            $saver,
        );
        $this->command('tally:station', ['--once' => true])->assertExitCode(0);
        $record = $run->refresh()->sustained() ?? self::fail('nothing was kept');
        self::assertEqualsWithDelta(0.4 * 32e9, $record->write->bytes->count, 0.2e9);
        self::assertGreaterThan(50, count(RunSample::query()->findOrFail($run->id)->traces['write']));
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'course.caption',
                fn (string $words): bool => str_contains($words, '(interrupted)'),
            ),
        );
    }

    public function test_what_is_kept_while_it_goes_on_is_written_every_other_second_at_most(): void
    {
        $run = $this->going($this->card(), 'speed');
        $made = 0;
        $saver = new RunProgressSaver($run, function (SpeedResult $soFar) use (&$made): SpeedRecord {
            $made++;

            return SpeedRecord::of($soFar, SpeedPlan::plain(Bytes::gigabytes(1)));
        });
        $result = new SpeedResult(Bytes::gigabytes(1), [], [], true, wrong: 0, trace: [], stopped: true);
        foreach (range(1, 50) as $i) {
            $saver->keep(fn (): SpeedResult => $result);
        }
        self::assertSame(1, $made);
    }

    public function test_setting_the_clock_of_the_machine_in_mid_run_moves_no_speed(): void
    {
        $folder = $this->folder();
        config(['tally.folders' => ['/tmp']]);
        $slot = $this->slot('Bay 2');
        $slot->forceFill(['path' => $folder])->save();
        Date::setTestNow('2026-11-25 12:00:00');
        Queue::fake();
        $card = $this->card();
        $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'speed',
            'slot' => $slot->id,
            'size' => '4 MB',
            'runs' => 3,
        ])->assertSessionHasNoErrors();
        $run = Run::query()
            ->with(['card', 'slot', 'station'])
            ->firstOrFail();
        // While it runs, somebody sets the clock a day back.
        Run::updated(function (Run $changed): void {
            if ($changed->state === RunState::Running) {
                Date::setTestNow('2026-11-24 12:00:00');
            }
        });
        (new RunConductor($this->app->make(AllowedFolders::class), 0))->conduct($run);
        Date::setTestNow();
        $run->refresh();
        self::assertSame(RunState::Done, $run->state);
        self::assertNotNull($run->started_at);
        self::assertTrue($run->ended_at?->isBefore($run->started_at));
        foreach ([...$run->speeds()->writes ?? [], ...$run->speeds()->reads ?? []] as $rate) {
            self::assertGreaterThan(0, $rate);
            self::assertLessThan(1e11, $rate);
        }
        $this->get("/runs/{$run->id}")->assertOk();
    }

    public function test_two_cards_at_once_on_one_host_are_recorded_as_such(): void
    {
        $folder = $this->folder();
        config(['tally.folders' => ['/tmp']]);
        Slot::query()
            ->whereIn('name', ['Bay 1', 'Bay 2'])
            ->update(['path' => $folder]);
        $other = $this->going($this->card(['tag' => 'T-2']), 'speed');
        $other->forceFill(['slot_id' => $this->slot('Bay 1')->id])->save();
        $card = $this->card();
        $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'speed',
            'slot' => $this->slot('Bay 2')->id,
            'size' => '2 MB',
            'runs' => 2,
        ])->assertSessionHasNoErrors();
        $run = Run::query()
            ->with(['card', 'slot', 'station'])
            ->where('card_id', $card->id)
            ->firstOrFail();
        (new RunConductor($this->app->make(AllowedFolders::class), 0))->conduct($run);
        self::assertSame("T-2, run {$other->id}", $run->refresh()->beside);
        self::assertFalse($run->counts());
        $this->get("/runs/{$run->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'run.facts',
                fn (mixed $facts): bool => str_contains((string) json_encode($facts), 'kept apart from speeds that were measured alone'),
            ),
        );
    }
}
