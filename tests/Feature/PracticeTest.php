<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Practice\PracticeRound;
use App\Practice\PracticeSheet;
use Illuminate\Support\Facades\Artisan;
use Inertia\Testing\AssertableInertia;
use Opis\JsonSchema\Validator;
use Tally\Practice\Answer;
use Tally\Practice\Level;
use Tally\Practice\PracticeSet;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

final class PracticeTest extends TestCase
{
    private function begin(int $level, ?int $seed = null): PracticeRound
    {
        $this->post('/practice', ['level' => $level, 'seed' => $seed, 'by' => 'Wren'])->assertRedirect();

        return PracticeRound::query()->latest('id')->firstOrFail();
    }

    public function test_a_round_is_played_by_its_shortest_way_and_called_right(): void
    {
        $round = $this->begin(6, 3);
        $answer = Answer::of($round->exercise());
        foreach ($answer->way as $move) {
            $this->post("/practice/{$round->id}/moves", ['move' => $move->id])->assertSessionHasNoErrors();
        }
        $this->get("/practice/{$round->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('PracticeRound')
                ->where('answer', null)
                ->has('done', 1 + count($answer->way))
                ->where('label', $round->exercise()->card->label),
        );
        $this->post("/practice/{$round->id}/call", [
            'verdict' => $answer->called->verdict->kind->value,
            'holds' => $answer->called->holds?->value,
            'keeps' => $answer->called->capacity?->decimal(),
        ])->assertSessionHasNoErrors();
        $this->get("/practice/{$round->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('answer.mistakes', [])
                ->where('answer.verdict', $answer->called->verdict->kind->value)
                ->where('answer.took', sprintf('%d:%02d', intdiv($answer->seconds(), 60), $answer->seconds() % 60))
                ->has('answer.reasons.0.evidence'),
        );
    }

    public function test_what_went_wrong_is_told_in_tens_and_a_level_never_gives_the_same_kind_twice_running(): void
    {
        $last = null;
        for ($at = 0; $at < 12; $at++) {
            $round = $this->begin(4);
            self::assertNotSame($last, $round->trick);
            $last = $round->trick;
            $this->post("/practice/{$round->id}/call", ['verdict' => 'Unproven', 'holds' => 'card'])->assertSessionHasNoErrors();
        }
        $this->withCookie('person', 'Wren')->get('/practice')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Practice')
                ->where('levels.3.rounds', 12)
                ->where('levels.3.right', 0)
                ->where('mistakes.0.count', 12)
                ->where('mistakes.0.blocks', [10, 2])
                ->has('rounds', 12),
        );
    }

    public function test_bad_input_says_what_would_do_and_changes_nothing(): void
    {
        $this->post('/practice', ['level' => 7, 'by' => 'Wren'])->assertSessionHasErrors(['level']);
        $this->post('/practice', ['level' => 1, 'seed' => 'x', 'by' => ''])->assertSessionHasErrors(['seed', 'by']);
        self::assertSame(0, PracticeRound::query()->count());
        $round = $this->begin(1, 4);
        $this->post("/practice/{$round->id}/moves", ['move' => 'fly'])->assertSessionHasErrors(['move']);
        $this->post("/practice/{$round->id}/moves", ['move' => 'screen'])->assertSessionHasNoErrors();
        $this->post("/practice/{$round->id}/moves", ['move' => 'screen'])->assertSessionHasErrors(['move']);
        $this->post("/practice/{$round->id}/call", ['verdict' => 'Fine', 'holds' => 'wind', 'keeps' => 'much'])
            ->assertSessionHasErrors(['verdict', 'holds', 'keeps']);
        $this->post("/practice/{$round->id}/call", ['verdict' => 'Sham', 'holds' => 'card'])->assertSessionHasNoErrors();
        $this->post("/practice/{$round->id}/call", ['verdict' => 'Sound', 'holds' => 'card'])->assertSessionHasErrors(['verdict']);
        $this->post("/practice/{$round->id}/moves", ['move' => 'part'])->assertSessionHasErrors(['move']);
        $round->refresh();
        self::assertSame([['screen'], VerdictKind::Sham], [$round->moves, $round->verdict]);
        $this->get('/practice/set.pdf?seed=0')->assertSessionHasErrors(['seed']);
    }

    public function test_a_set_goes_out_as_its_schema_says_and_on_paper(): void
    {
        self::assertSame(0, Artisan::call('tally:practice', ['--seed' => '12', '--level' => '5', '--count' => '3', '--json' => true]));
        $json = Artisan::output();
        self::assertTrue(
            (new Validator())->validate(json_decode($json), (string) file_get_contents(base_path('docs/practice.schema.json')))->isValid(),
        );
        $set = json_decode($json, true);
        self::assertIsArray($set);
        self::assertSame([12, 13, 14], array_column((array) $set['exercises'], 'seed'));
        self::assertStringStartsWith('%PDF', PracticeSheet::pdf(PracticeSet::seeded(12, Level::Faults, 2)));
        self::assertStringStartsWith('%PDF', (string) $this->get('/practice/set.pdf?seed=12')->assertOk()->getContent());

        self::assertSame(0, Artisan::call('tally:practice', ['--seed' => '12', '--answers' => true]));
        self::assertStringContainsString('Shortest way, ', Artisan::output());
        self::assertSame(2, Artisan::call('tally:practice', ['--seed' => 'twelve']));
        self::assertStringContainsString('Give a whole number from 1 to 999999.', Artisan::output());
        self::assertSame(2, Artisan::call('tally:practice', ['--level' => '9']));
    }
}
