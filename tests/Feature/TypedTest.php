<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Kit\Port;
use App\Models\Runs\Run;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tally\Record\RunSource;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** Figures from elsewhere: typed in any unit, held against each other, marked, and judged like any other. */
final class TypedTest extends TestCase
{
    /**
     * @param  list<array<string, string>>  $readings
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function type(Card $card, array $readings, array $with = []): TestResponse
    {
        $port = Port::query()->where('name', 'port 3')->firstOrFail();

        return $this->post("/cards/{$card->tag}/typed", [
            'readings' => $readings,
            'reader' => 'R3',
            'port' => (string) $port->id,
            'on' => '2026-11-20',
            'by' => 'Wren',
            'note' => 'another program',
            ...$with,
        ]);
    }

    public function test_typed_figures_are_marked_and_judged_against_label_class_and_chain(): void
    {
        // Handbook § 4, common practice: a 95/90 label measured 92.98/86.4.
        $card = $this->card(['read' => 95e6, 'write' => 90e6, 'marks' => ['U3', 'V30'], 'capacity' => 64_000_000_000, 'family' => 'SDXC']);
        $this->type($card, [
            ['way' => 'read', 'size' => '', 'time' => '', 'speed' => '92.98 MB/s'],
            ['way' => 'write', 'size' => '10 GB', 'time' => '115.74 s', 'speed' => ''],
        ])
            ->assertRedirect("/measure/{$card->tag}")
            ->assertSessionHasNoErrors();
        $run = Run::query()->firstOrFail();
        self::assertSame(RunSource::Typed, $run->source);
        self::assertSame('Wren', $run->recorded_by);
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('runs.0.note', fn (string $note): bool => str_contains($note, 'typed in') && str_contains($note, 'another program'))
                ->where('runs.0.struck', false)
                ->where('claimLine.ways.1.median', 92.98)
                ->where('claimLine.ways.0.median', fn (mixed $median): bool => is_numeric($median) && abs($median - 86.4) < 0.01)
                ->where(
                    'margin.reasons',
                    fn (mixed $reasons): bool => str_contains((string) json_encode($reasons), 'typed in') &&
                        str_contains(
                            (string) json_encode($reasons, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                            '97 % of the label’s 95 MB/s, near the label',
                        ),
                ),
        );
    }

    public function test_a_slow_figure_without_a_chain_blames_nobody(): void
    {
        $card = $this->card();
        $reading = [
            ['way' => 'write', 'size' => '', 'time' => '', 'speed' => '3 MB/s'],
            ['way' => 'read', 'size' => '', 'time' => '', 'speed' => '7 MB/s'],
        ];
        $this->type($card, $reading, ['reader' => '', 'port' => '']);
        self::assertSame(VerdictKind::Unproven, $card->refresh()->verdict);
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'margin.reasons',
                fn (mixed $reasons): bool => str_contains((string) json_encode($reasons), 'Nobody named the chain'),
            ),
        );
        // The same on a named chain: handbook § 4, common practice, 11.7 and 7 fail even class 30; here C10 is under its 10.
        $this->type($card, $reading);
        self::assertSame(VerdictKind::Unproven, $card->refresh()->verdict, 'one figure convicts nobody');
        $this->type($card, [...$reading, ...$reading, ...$reading]);
        self::assertSame(VerdictKind::Slow, $card->refresh()->verdict);
    }

    public function test_three_that_do_not_go_together_are_struck_and_in_no_verdict(): void
    {
        $card = $this->card();
        $this->type($card, [['way' => 'read', 'size' => '10 GB', 'time' => '34 s', 'speed' => '317 MB/s']])->assertSessionHasNoErrors();
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('runs.0.struck', true)
                ->where('runs.0.note', fn (string $note): bool => str_contains($note, 'do not go together')),
        );
        $this->get('/runs/'.Run::query()->firstOrFail()->id)->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('run.words.0', fn (string $words): bool => str_contains($words, 'looks like GiB read as GB'))
                ->where('run.ways.0.suspicion', fn (string $words): bool => str_contains($words, 'do not go together')),
        );
    }

    public function test_a_figure_that_nobody_trusts_does_not_take_the_claim_line_from_one_that_is_trusted(): void
    {
        $card = $this->card();
        $run = $this->conduct($card, 'speed', 'Tray 3');
        $this->type($card, [['way' => 'read', 'size' => '10 GB', 'time' => '34 s', 'speed' => '317 MB/s']]);
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('claimLine.caption', "5 runs each way, first 1 GB, {$run->name()}")
                ->has('claimLine.ways.0.runs', 5),
        );
        // One that can be trusted does, and says of which way it is.
        $this->type($card, [
            ['way' => 'read', 'size' => '', 'time' => '', 'speed' => '88 MB/s'],
            ['way' => 'read', 'size' => '', 'time' => '', 'speed' => '87 MB/s'],
        ]);
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'claimLine.caption',
                fn (string $words): bool => str_starts_with($words, '2 reads, region not told'),
            ),
        );
    }

    public function test_the_detector_speaks_up_while_typing(): void
    {
        $this->postJson('/typed/check', [
            'readings' => [
                ['way' => 'read', 'size' => '20 GB', 'time' => '3:49', 'speed' => ''],
                ['way' => 'read', 'size' => '20 GB', 'time' => '3:49', 'speed' => '699 MB/s'],
                ['way' => 'read', 'size' => '20 GB', 'time' => '', 'speed' => ''],
                ['way' => 'read', 'size' => 'much', 'time' => '', 'speed' => ''],
                'nonsense',
            ],
        ])
            ->assertOk()
            ->assertJson([
                ['rate' => '87.34 MB/s · 699 Mb/s', 'sentence' => null, 'wrong' => false],
                ['wrong' => true],
                ['rate' => null, 'sentence' => null],
                ['rate' => null, 'wrong' => true],
                ['rate' => null],
            ])
            ->assertJsonPath('1.sentence', fn (string $words): bool => str_contains($words, 'looks like megabits read as megabytes'));
        $this->assertDatabaseCount('runs', 0);
        $this->postJson('/typed/check', ['readings' => 'x'])
            ->assertOk()
            ->assertJson([]);
    }

    public function test_what_runs_beside_another_is_kept_apart(): void
    {
        $card = $this->card();
        $this->type($card, [['way' => 'write', 'size' => '', 'time' => '', 'speed' => '3 MB/s']], ['beside' => 'T-2 in the other slot']);
        self::assertSame(VerdictKind::Unproven, $card->refresh()->verdict);
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('runs.0.note', fn (string $note): bool => str_contains($note, 'measured beside T-2 in the other slot: kept apart'))
                ->where('claimLine.caption', null),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> what is changed, field, words */
    public static function mistakes(): iterable
    {
        $one = fn (string $size, string $time, string $speed): array => [
            'readings' => [['way' => 'read', 'size' => $size, 'time' => $time, 'speed' => $speed]],
        ];
        yield 'no figure' => [['readings' => []], 'readings', 'No reading was typed. Give a speed, or a size and a time.'];
        yield 'a size alone' => [
            $one('20 GB', '', ''),
            'readings.0.speed',
            'No speed comes of this. Give a speed, or a size and a time above nothing.',
        ];
        yield 'no time at all' => [
            $one('20 GB', '0', ''),
            'readings.0.speed',
            'No speed comes of this. Give a speed, or a size and a time above nothing.',
        ];
        yield 'an unknown way' => [
            ['readings' => [['way' => 'sideways', 'speed' => '9 MB/s']]],
            'readings.0.way',
            'Say whether this was written or read.',
        ];
        yield 'a small b' => [
            $one('', '', '95 mb/s'),
            'readings.0.speed',
            '“95 mb/s” could be megabits or megabytes. Write a capital B for bytes (MB/s) or a small b after a capital M for bits (Mb/s).',
        ];
        yield 'a day to come' => [
            ['on' => '2050-01-01'],
            'on',
            '1 Jan 2050 is still to come. Write a day up to today, such as 2026-11-25 or 25 Nov 2026.',
        ];
        yield 'nobody' => [['by' => ''], 'by', 'Nobody is named. Write who types this: a figure has a name behind it.'];
        yield 'an unknown reader' => [['reader' => 'R99'], 'reader', '“R99” is no reader of the kit. Choose one of the list.'];
        yield 'a reader without its port' => [
            ['port' => ''],
            'port',
            'Say at which port the reader was: the slowest link decides. Or choose no reader, and nothing is judged by a shortfall.',
        ];
        yield 'a reader that does not take it' => [
            ['reader' => 'R5'],
            'reader',
            'R5 does not take this card. Choose the reader that it was in.',
        ];
        yield 'no list' => [['readings' => 'all'], 'readings', 'The readings were not sent as a list of at most 50.'];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence_and_nothing_is_kept(array $change, string $field, string $words): void
    {
        $this->type($this->card(), [['way' => 'read', 'size' => '', 'time' => '', 'speed' => '90 MB/s']], $change)->assertSessionHasErrors([
            $field => $words,
        ]);
        $this->assertDatabaseCount('runs', 0);
    }

    public function test_the_page_offers_the_readers_that_take_the_card(): void
    {
        $this->get('/measure/'.$this->card()->tag.'/typed')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Typed')
                ->has('chain.ports', 9)
                ->where(
                    'chain.readers',
                    fn (mixed $readers): bool => str_contains((string) json_encode($readers), 'R3') &&
                        ! str_contains((string) json_encode($readers), 'R5'),
                ),
        );
    }

    public function test_what_is_asked_while_typing_takes_no_complaint_along(): void
    {
        $card = $this->card();
        $this->post("/cards/{$card->tag}/typed", ['readings' => []])->assertSessionHasErrors('readings');
        // The question that was on its way is answered between the form and its page.
        $this->postJson('/typed/check', ['readings' => []])->assertOk();
        $this->get("/measure/{$card->tag}/typed")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->has('errors.readings'),
        );
    }
}
