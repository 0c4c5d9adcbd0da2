<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Runs\RunVoid;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** One run, whole; voiding it, and how warm it was. */
final class RunPageTest extends TestCase
{
    private function measured(): Run
    {
        return $this->conduct($this->card(), 'speed', 'Tray 3');
    }

    public function test_it_says_how_each_figure_was_got(): void
    {
        $run = $this->measured();
        $this->get("/runs/{$run->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Run')
                ->has('run.ways', 2)
                ->has('run.ways.0.rates', 5)
                ->where('run.counts', true)
                ->where(
                    'run.facts',
                    fn (mixed $facts): bool => str_contains((string) json_encode($facts), 'first 1 GB') &&
                        str_contains((string) json_encode($facts), 'Tray 3'),
                )
                ->where('run.ways.1.notes.0', fn (string $note): bool => str_contains($note, '% of the label’s 90 MB/s: near the label')),
        );
        $this->get('/runs/999999')->assertNotFound();
    }

    public function test_one_outlier_of_five_is_shown_and_left_out(): void
    {
        $run = $this->measured();
        $run->forceFill(['result' => [...$run->rawResult() ?? [], 'writes' => [39e6, 39.2e6, 28e6, 38.9e6, 39.1e6]]])->save();
        $this->get("/runs/{$run->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('run.ways.0.apart', [2])
                ->where('run.ways.0.mean', 39.05)
                ->where(
                    'run.ways.0.notes',
                    fn (mixed $notes): bool => str_contains(
                        (string) json_encode($notes),
                        'Run 3 lies apart from the others and is left out.',
                    ),
                ),
        );
        $this->get('/measure/T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'runs.0.note',
                fn (string $note): bool => str_contains($note, 'run 3 lies apart'),
            ),
        );
    }

    public function test_a_voided_run_is_out_of_everything_at_once_and_never_deleted(): void
    {
        $run = $this->conduct($this->card(['stand_in' => 'honest,size=32GB,write=3MB/s,read=7MB/s']), 'speed', 'Tray 3');
        self::assertSame(VerdictKind::Slow, Card::query()->firstOrFail()->verdict);
        $this->post("/runs/{$run->id}/void", ['reason' => 'wrong card in the slot', 'by' => 'Wren'])->assertSessionHasNoErrors();
        self::assertSame(VerdictKind::Unproven, Card::query()->firstOrFail()->verdict);
        $this->assertDatabaseCount('runs', 1);
        $this->get('/measure/T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('runs.0.struck', true)
                ->where(
                    'runs.0.note',
                    fn (string $note): bool => str_starts_with($note, 'voided: wrong card in the slot') ||
                        str_contains($note, 'voided: wrong card in the slot'),
                )
                ->where('claimLine.caption', null)
                ->where('claimLine.ways.0.runs', []),
        );
        self::assertSame('Unproven', $this->inTray('T-1')['verdict']);
        $this->get("/runs/{$run->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('run.counts', false)->where('run.void.by', 'Wren'),
        );
        // Twice is once.
        $this->post("/runs/{$run->id}/void", ['reason' => 'again', 'by' => 'Wren']);
        self::assertSame(1, RunVoid::query()->count());
        $this->post("/runs/{$run->id}/count-again", ['reason' => 'it was the right one']);
        self::assertSame(VerdictKind::Slow, Card::query()->firstOrFail()->verdict);
        $this->get("/runs/{$run->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('run.void', null)
                ->where('run.voids.0.withdrawn', 'it was the right one'),
        );
    }

    /** @return iterable<string, array{string, array<string, string>, string, string}> */
    public static function mistakes(): iterable
    {
        yield 'void without a reason' => [
            'void',
            ['by' => 'Wren'],
            'reason',
            'No reason was given. Say why this run counts no longer, such as: wrong card in the slot.',
        ];
        yield 'void by nobody' => ['void', ['reason' => 'x'], 'by', 'Nobody is named. Write who voids it.'];
        yield 'count again without a reason' => [
            'count-again',
            [],
            'reason',
            'No reason was given. Say why it counts again, such as: it was the right card after all.',
        ];
        yield 'no temperature' => [
            'heat',
            ['at' => '3 GB'],
            'temperature',
            'The temperature is empty. Write what the thermometer shows, such as 52 °C.',
        ];
        yield 'a feeling' => [
            'heat',
            ['temperature' => 'warm'],
            'temperature',
            '“warm” is not a temperature from −40 to 150 °C. Write 52, 52 °C or 126 °F.',
        ];
        yield 'an odd place' => [
            'heat',
            ['temperature' => '50', 'at' => 'later'],
            'at',
            '“later” is not a size. Write a number and a unit in bytes, such as 32 GB, 29.8 GiB or 512 MB.',
        ];
    }

    /** @param  array<string, string>  $sent */
    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence_and_changes_nothing(string $what, array $sent, string $field, string $words): void
    {
        $run = $this->measured();
        $this->post("/runs/{$run->id}/{$what}", $sent)->assertSessionHasErrors([$field => $words]);
        $this->assertDatabaseCount('run_voids', 0);
        $this->assertDatabaseCount('heat_readings', 0);
    }

    public function test_a_run_that_goes_on_cannot_be_voided(): void
    {
        $run = $this->measured();
        $run->forceFill(['state' => RunState::Running])->save();
        $this->post("/runs/{$run->id}/void", ['reason' => 'x', 'by' => 'Wren'])->assertSessionHasErrors([
            'reason' => 'It is still going. Stop it first, or let it end.',
        ]);
        $this->assertDatabaseCount('run_voids', 0);
    }

    public function test_temperatures_are_set_against_the_speed_and_bring_the_caution(): void
    {
        $card = $this->card(['stand_in' => 'honest,size=32GB,write=39MB/s,read=88MB/s,fade=0.4']);
        $run = $this->conduct($card, 'sustained', 'Tray 3');
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('course.heat', fn (mixed $heat): bool => is_countable($heat) && count($heat) > 50)
                ->where(
                    'course.summary',
                    fn (string $words): bool => str_contains($words, 'Warmest: 67 °C (153 °F)') &&
                        str_contains($words, 'of its speed for each 10 °C'),
                )
                ->where(
                    'margin.cautions',
                    fn (mixed $cautions): bool => str_contains(
                        (string) json_encode($cautions, JSON_UNESCAPED_UNICODE),
                        'It was seen at 67 °C (153 °F).',
                    ) && str_contains((string) json_encode($cautions, JSON_UNESCAPED_UNICODE), 'cool below 48 °C'),
                ),
        );
        $this->post("/runs/{$run->id}/heat", ['at' => '30 GB', 'temperature' => '160 °F'])->assertSessionHasNoErrors();
        $this->get("/runs/{$run->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                // ISO 13732-1, from memory: bare metal is handled below 48 °C, and hurts from 65 °C on.
                ->where('run.heatLimits', 'too hot to hold from 48 °C on; 65 °C hurts within seconds')
                ->where('run.heat.0.temperature', '71.1 °C (160 °F)')
                ->where('run.heat.0.at', 'after 30 GB')
                ->has('run.course.noted', 1)
                ->where(
                    'margin.cautions',
                    fn (mixed $cautions): bool => str_contains(
                        (string) json_encode($cautions, JSON_UNESCAPED_UNICODE),
                        'It was seen at 71.1 °C',
                    ),
                ),
        );
    }

    public function test_a_card_that_stays_cool_brings_no_such_caution(): void
    {
        $card = $this->card();
        $this->conduct($card, 'sustained', 'Tray 3');
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'margin.cautions',
                fn (mixed $cautions): bool => ! str_contains((string) json_encode($cautions), 'It was seen at'),
            ),
        );
    }
}
