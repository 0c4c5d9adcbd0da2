<?php

declare(strict_types=1);

namespace Tests\Core\Inspection;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Evidence\Evidence;
use Tally\Inspection\Question;
use Tally\Inspection\Seen;
use Tally\Label\Bus;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Severity;
use Tally\Quantity\Bytes;
use Tally\Verdict\Judge;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;

final class InspectionTest extends TestCase
{
    private static function seen(Question $question, string $answer, ?string $reader = null): Seen
    {
        return new Seen($question, $question->answer($answer) ?? self::fail("no answer {$answer}"), 'Wren', '25 Nov 2026', reader: $reader);
    }

    /** @return iterable<string, array{Form, list<Question>, list<Question>}> form, asked, not asked */
    public static function forms(): iterable
    {
        yield 'SD' => [
            Form::Sd,
            [Question::ContactRows, Question::LockSlider, Question::Seating],
            [Question::Connector, Question::Outline],
        ];
        yield 'microSD has no slider' => [Form::MicroSd, [Question::ContactRows], [Question::LockSlider]];
        yield 'CF' => [Form::Cf, [Question::Connector], [Question::ContactRows, Question::Outline]];
        yield 'CFast' => [Form::CFast, [Question::Connector], [Question::LockSlider]];
        yield 'CFexpress B' => [Form::CFexpressB, [Question::Outline, Question::Shell], [Question::ContactRows]];
        yield 'SSD' => [Form::Ssd, [Question::Print, Question::Serial, Question::BackCode], [Question::Outline, Question::ContactRows]];
    }

    /**
     * @param  list<Question>  $asked
     * @param  list<Question>  $not
     */
    #[DataProvider('forms')]
    public function test_questions_go_by_form(Form $form, array $asked, array $not): void
    {
        $questions = Question::for(new Label($form, Bytes::gigabytes(64)));
        foreach ($asked as $question) {
            self::assertContains($question, $questions);
        }
        foreach ($not as $question) {
            self::assertNotContains($question, $questions);
        }
    }

    public function test_every_question_can_be_answered_by_one_key_and_asks_differently(): void
    {
        $asks = [];
        foreach (Question::cases() as $question) {
            self::assertLessThanOrEqual(9, count($question->answers()), $question->value);
            $asks[] = $question->asks();
            self::assertNull($question->answer('no such answer'));
        }
        self::assertSame($asks, array_unique($asks));
    }

    /** @return iterable<string, array{Form, Question, string, Severity|null}> */
    public static function answers(): iterable
    {
        yield 'the outline of the label' => [Form::CFexpressB, Question::Outline, 'b', null];
        yield 'XQD has the outline of B' => [Form::Xqd, Question::Outline, 'b', null];
        yield 'another outline' => [Form::CFexpressB, Question::Outline, 'a', Severity::Contradiction];
        yield 'nobody can tell' => [Form::CFexpressB, Question::Outline, 'unsure', null];
        yield 'holes on CF' => [Form::Cf, Question::Connector, 'holes', null];
        yield 'a tongue on CF' => [Form::Cf, Question::Connector, 'tongue', Severity::Contradiction];
        yield 'holes on CFast' => [Form::CFast, Question::Connector, 'holes', Severity::Contradiction];
        yield 'clean print' => [Form::Sd, Question::Print, 'clean', null];
        yield 'a sticker' => [Form::Sd, Question::Print, 'sticker', Severity::Doubt];
        yield 'worn' => [Form::Sd, Question::Shell, 'worn', Severity::Doubt];
        yield 'loose slider' => [Form::Sd, Question::LockSlider, 'loose', Severity::Doubt];
    }

    #[DataProvider('answers')]
    public function test_what_an_answer_means(Form $form, Question $question, string $answer, ?Severity $severity): void
    {
        self::assertSame($severity, self::seen($question, $answer)->finding(new Label($form, Bytes::gigabytes(64)))?->severity);
    }

    /** @return iterable<string, array{list<Seen>, VerdictKind}> */
    public static function verdicts(): iterable
    {
        yield 'nothing odd' => [
            [self::seen(Question::Shell, 'whole'), self::seen(Question::Seating, 'found', 'R1')],
            VerdictKind::Unproven,
        ];
        yield 'cracked' => [[self::seen(Question::Shell, 'cracked')], VerdictKind::Shaky];
        yield 'only while pressed' => [[self::seen(Question::Seating, 'pressed', 'R1')], VerdictKind::Shaky];
        yield 'pressed once, found after' => [
            [self::seen(Question::Seating, 'pressed', 'R1'), self::seen(Question::Seating, 'found', 'R1')],
            VerdictKind::Shaky,
        ];
        yield 'not found in one reader' => [[self::seen(Question::Seating, 'not-found', 'R1')], VerdictKind::Unproven];
        yield 'not found twice in one reader' => [
            [self::seen(Question::Seating, 'not-found', 'R1'), self::seen(Question::Seating, 'not-found', 'R1')],
            VerdictKind::Unproven,
        ];
        yield 'not found in two readers' => [
            [self::seen(Question::Seating, 'not-found', 'R1'), self::seen(Question::Seating, 'not-found', 'R2')],
            VerdictKind::Shaky,
        ];
        yield 'stiff' => [[self::seen(Question::Seating, 'stiff', 'R1')], VerdictKind::Unproven];
        yield 'doubts alone strike nothing out' => [
            [self::seen(Question::Print, 'misspelt'), self::seen(Question::LockSlider, 'missing')],
            VerdictKind::Unproven,
        ];
    }

    /** @param  list<Seen>  $seen */
    #[DataProvider('verdicts')]
    public function test_what_was_seen_feeds_the_verdict(array $seen, VerdictKind $verdict): void
    {
        self::assertSame($verdict, Judge::judge(new Evidence(new Label(Form::Sd, Bytes::gigabytes(64)), seen: $seen))->kind);
    }

    public function test_a_card_is_sham_before_it_was_ever_plugged_in(): void
    {
        $verdict = Judge::judge(
            new Evidence(
                new Label(Form::CFexpressB, Bytes::gigabytes(325), bus: Bus::CFexpress2B),
                seen: [self::seen(Question::Outline, 'c')],
                looked: false,
            ),
        );
        self::assertSame([VerdictKind::Sham, Step::SetAside], [$verdict->kind, $verdict->next]);
        self::assertSame('The label says CFexpress B; what was seen is CFexpress C.', $verdict->reasons[0]->rest());
        self::assertStringContainsString('seen by Wren on 25 Nov 2026', $verdict->reasons[0]->evidence);
    }

    public function test_a_look_comes_before_the_first_run(): void
    {
        $label = new Label(Form::Sd, Bytes::gigabytes(64), bus: Bus::UhsI);
        self::assertSame(Step::Inspect, Judge::judge(new Evidence($label, looked: false))->next);
        self::assertSame(Step::Prove, Judge::judge(new Evidence($label, looked: true))->next);
    }
}
