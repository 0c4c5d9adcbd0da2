<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Runs\RunSample;
use App\Models\Runs\RunState;
use Inertia\Testing\AssertableInertia;
use Tally\Value\Values;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** One long write, from the order to the verdict. */
final class SustainedTest extends TestCase
{
    private const FALLS = 'honest,size=32GB,write=8MB/s,read=88MB/s,cache=8GB,fast=60MB/s';

    public function test_a_card_that_falls_under_its_class_is_slow_however_fast_it_begins(): void
    {
        $card = $this->card(['stand_in' => self::FALLS, 'write' => null, 'read' => null]);
        $this->conduct($card, 'speed', 'Tray 3');
        self::assertSame(VerdictKind::Unproven, Card::query()->findOrFail($card->id)->verdict);
        $run = $this->conduct($card, 'sustained', 'Tray 3');
        self::assertSame(RunState::Done, $run->state);
        self::assertSame(VerdictKind::Slow, Card::query()->findOrFail($card->id)->verdict);
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('course.markFloor', 10)
                ->where('course.mark', 'U1')
                ->where('course.cliffs.0', fn (mixed $at): bool => is_numeric($at) && abs((float) $at / 8e9 - 1) < 0.02)
                ->where('course.floor', fn (mixed $floor): bool => is_numeric($floor) && abs((float) $floor / 8 - 1) < 0.02)
                ->has('course.plateaus', 2)
                ->where(
                    'course.summary',
                    fn (string $words): bool => str_contains($words, 'It falls at') && str_contains($words, 'Never under'),
                )
                ->where('runs.0.kind', 'sustained')
                ->where('runs.0.region', 'first 32 GB')
                ->where('margin.reasons.0.lead', fn (string $lead): bool => str_starts_with($lead, 'Falls to ')),
        );
    }

    public function test_it_is_kept_with_its_samples_and_comes_back_the_same(): void
    {
        $card = $this->card(['stand_in' => self::FALLS]);
        $run = $this->conduct($card, 'sustained', 'Tray 3', '20 GB');
        self::assertNotNull($run->result);
        $record = $run->sustained() ?? self::fail('nothing was kept');
        self::assertSame(20_000_000_000, $record->write->bytes->count);
        self::assertEquals($run->rawResult(), json_decode((string) json_encode(Values::plain($record)), true));
        $sample = RunSample::query()->findOrFail($run->id);
        self::assertGreaterThan(100, count($sample->traces['write']));
    }

    public function test_too_short_a_write_tells_no_floor_and_says_so(): void
    {
        $card = $this->card();
        $this->conduct($card, 'sustained', 'Tray 3', '64 MB');
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('course.floor', null)
                ->where(
                    'course.summary',
                    'Too little was written to tell a sustained floor: it takes five seconds at least. Warmest: 24.2 °C (76 °F). '.
                    'Too few readings along the run, or too even ones, to set its speed against them.',
                ),
        );
    }

    public function test_what_could_not_be_written_is_not_counted(): void
    {
        $card = $this->card(['stand_in' => 'drops,size=32GB,true=4GB,write=20MB/s,read=80MB/s']);
        $run = $this->conduct($card, 'sustained', 'Tray 3');
        // A card that drops what it is given takes it all: only a proof can tell, and a sustained run claims nothing of capacity.
        self::assertSame(RunState::Done, $run->state);
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'margin.reasons',
                fn ($reasons): bool => str_contains((string) json_encode($reasons), 'Capacity not proven.'),
            ),
        );
    }

    public function test_an_order_that_cannot_be_gets_a_sentence(): void
    {
        $card = $this->card();
        $order = ['kind' => 'sustained', 'slot' => $this->slot('Tray 3')->id, 'size' => 'a lot'];
        $this->post("/cards/{$card->tag}/runs", $order)->assertSessionHasErrors('size');
        $this->post("/cards/{$card->tag}/runs", [...$order, 'kind' => 'sprint', 'size' => null])->assertSessionHasErrors([
            'kind' => 'What to run was “sprint”: a speed run, a sustained run, small files, a full proof or a quick screen can be ordered.',
        ]);
        $this->assertDatabaseCount('runs', 0);
    }

    public function test_before_a_sustained_run_there_is_no_trace(): void
    {
        $card = $this->card();
        $this->conduct($card, 'speed', 'Tray 3');
        $this->get("/measure/{$card->tag}")->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('course', null));
    }
}
