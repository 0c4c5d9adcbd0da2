<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

final class InspectTest extends TestCase
{
    /** @param  array<string, mixed>  $with */
    private function answer(Card $card, string $question, string $answer, array $with = []): void
    {
        $this->post("/cards/{$card->tag}/inspections", ['by' => 'Wren', 'question' => $question, 'answer' => $answer, ...$with])
            ->assertSessionHasNoErrors()
            ->assertRedirect()
            ->assertCookie('person', 'Wren');
    }

    private function verdict(Card $card): VerdictKind
    {
        return Card::query()->findOrFail($card->id)->verdict;
    }

    public function test_answers_become_evidence_with_date_and_person_and_feed_the_verdict_at_once(): void
    {
        $this->travelTo('2026-11-25 23:10:00');
        $card = $this->card(['bus' => 'uhs-ii']);
        $this->answer($card, 'contact-rows', 'one');
        self::assertSame(VerdictKind::Sham, $this->verdict($card));
        $this->withCookie('person', 'Wren')
            ->get("/inspect/{$card->tag}")
            ->assertInertia(
                fn (AssertableInertia $page): AssertableInertia => $page
                    ->component('Inspect', false)
                    ->has('questions', 7)
                    ->where('questions.0.given', 'one')
                    ->where('questions.0.seen', 'one row, Wren, 25 Nov 2026')
                    ->where('questions.1.given', null)
                    ->where('history.0.by', 'Wren')
                    ->where('history.0.on', '25 Nov 2026, 23:10')
                    ->where('person', 'Wren')
                    ->where('margin.verdict', 'Sham'),
            );
    }

    public function test_an_answer_given_anew_counts_and_the_one_before_stays(): void
    {
        $card = $this->card(['bus' => 'uhs-ii']);
        $this->answer($card, 'contact-rows', 'one');
        $this->answer($card, 'contact-rows', 'two');
        self::assertSame(VerdictKind::Unproven, $this->verdict($card));
        self::assertSame(2, Card::query()->findOrFail($card->id)->contact_rows);
        $this->assertDatabaseCount('inspections', 2);
    }

    public function test_a_withdrawn_answer_counts_no_longer_and_the_one_before_does_again(): void
    {
        $card = $this->card(['bus' => 'uhs-ii']);
        $this->answer($card, 'contact-rows', 'two');
        $this->answer($card, 'contact-rows', 'one');
        $last = Inspection::query()->latest('id')->firstOrFail();
        $this->post("/inspections/{$last->id}/withdraw", ['reason' => ''])->assertSessionHasErrors('reason');
        self::assertSame(VerdictKind::Sham, $this->verdict($card));
        $this->post("/inspections/{$last->id}/withdraw", ['reason' => 'wrong key'])->assertSessionHasNoErrors();
        self::assertSame(VerdictKind::Unproven, $this->verdict($card));
        self::assertSame(2, Card::query()->findOrFail($card->id)->contact_rows);
        $this->get("/inspect/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('history.0.withdrawn', 'wrong key')
                ->where('questions.0.given', 'two'),
        );
    }

    public function test_seating_trouble_is_kept_for_the_card_and_for_the_reader(): void
    {
        $card = $this->card();
        $this->answer($card, 'seating', 'pressed', ['reader' => 'R3']);
        self::assertSame(VerdictKind::Shaky, $this->verdict($card));
        $this->get("/inspect/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('history.0.reader', 'R3')
                ->where('history.0.trouble', true)
                ->where('margin.reasons.0.lead', 'It is found only while somebody presses on it in R3.'),
        );
        $this->get('/kit/readers/R3')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('trouble.0.card', 'T-1')
                ->where('trouble.0.answer', 'only while I press on it'),
        );
        $this->get('/kit/readers/R1')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->has('trouble', 0));
    }

    public function test_codes_are_typed_and_met_again_on_other_cards(): void
    {
        $first = $this->card(['tag' => 'A-1', 'serial' => 'ab-77 01']);
        $second = $this->card(['tag' => 'A-2']);
        $this->answer($second, 'serial', 'typed', ['code' => 'AB7701']);
        self::assertSame([VerdictKind::Unproven, VerdictKind::Unproven], [$this->verdict($first), $this->verdict($second)]);
        $says =
            'The serial ab-77 01 is on A-2 too: makers number every card once. One is a copy, or one card was entered twice: look at both.';
        $this->get('/inspect/A-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'margin.reasons',
                fn ($reasons): bool => str_contains((string) json_encode($reasons), $says),
            ),
        );
        $this->answer($second, 'serial', 'typed', ['code' => 'AB7702']);
        $this->get('/inspect/A-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'margin.reasons',
                fn ($reasons): bool => ! str_contains((string) json_encode($reasons), 'is on A-2 too'),
            ),
        );
        $this->answer($second, 'back-code', 'typed', ['code' => 'K1']);
        self::assertSame('K1', Card::query()->findOrFail($second->id)->back_code);
    }

    public function test_a_lot_with_bad_sisters_is_said_here_and_on_the_tag(): void
    {
        foreach (range(1, 5) as $i) {
            $this->card(['tag' => "L-{$i}", 'lot' => 'TC 04', 'verdict' => $i <= 2 ? 'Sham' : 'Unproven']);
        }
        $this->card(['tag' => 'M-1', 'lot' => 'other']);
        $this->get('/inspect/L-5')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'margin.reasons',
                fn ($reasons): bool => str_contains((string) json_encode($reasons), '2 of 4 others from lot TC 04 are Sham'),
            ),
        );
        self::assertSame(['2 of 5', null], [$this->inTray('L-5')['badLot'], $this->inTray('M-1')['badLot']]);
    }

    public function test_all_answered_the_card_goes_on_to_be_measured(): void
    {
        $card = $this->card();
        foreach (
            [
                'contact-rows' => 'one',
                'print' => 'clean',
                'shell' => 'whole',
                'lock-slider' => 'firm',
                'serial' => 'none',
                'back-code' => 'none',
            ] as $question => $answer
        ) {
            $this->answer($card, $question, $answer);
            self::assertSame(Step::Inspect, Card::query()->findOrFail($card->id)->next_step);
        }
        $this->answer($card, 'seating', 'found', ['reader' => 'R3']);
        self::assertSame(Step::Measure, Card::query()->findOrFail($card->id)->next_step);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> what is sent, field, words */
    public static function mistakes(): iterable
    {
        yield 'nobody' => [['by' => ' '], 'by', 'Nobody is named'];
        yield 'a long name' => [['by' => str_repeat('w', 81)], 'by', 'longer than 80'];
        yield 'no such question' => [['question' => 'colour'], 'question', '“colour” is not asked'];
        yield 'a question of another form' => [
            ['question' => 'outline', 'answer' => 'a'],
            'question',
            '“outline” is not asked of this form',
        ];
        yield 'no such answer' => [['answer' => 'three'], 'answer', '“three” is no answer'];
        yield 'a code without the code' => [['question' => 'serial', 'answer' => 'typed', 'code' => ' '], 'code', 'No code was typed'];
        yield 'seated in nothing' => [['question' => 'seating', 'answer' => 'found'], 'reader', 'Say in which reader'];
        yield 'seated in a reader nobody has' => [
            ['question' => 'seating', 'answer' => 'found', 'reader' => 'R99'],
            'reader',
            'Say in which reader',
        ];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence_and_nothing_is_kept(array $with, string $field, string $words): void
    {
        $card = $this->card();
        $this->post("/cards/{$card->tag}/inspections", [
            'by' => 'Wren',
            'question' => 'contact-rows',
            'answer' => 'one',
            ...$with,
        ])->assertSessionHasErrors($field);
        $errors = session('errors');
        self::assertInstanceOf(\Illuminate\Support\ViewErrorBag::class, $errors);
        self::assertStringContainsString($words, $errors->first($field));
        $this->assertDatabaseCount('inspections', 0);
    }
}
