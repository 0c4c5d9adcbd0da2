<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\TestCase;
use Tally\Offload\Load;
use Tally\Offload\OtherPlans;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;
use Tests\Support\RandomOffload;

/** Plans of other kinds beside the one that was asked for, and a question that is written down. */
final class OtherPlansTest extends TestCase
{
    public function test_there_is_one_for_each_goal_and_each_scheme_and_each_is_of_its_kind(): void
    {
        $plan = Plan::of(RandomOffload::of(5, 4, 3, 3)->withRules(new Rules()), Goal::Safe, 0.05);
        $others = OtherPlans::of($plan, 0.02);
        self::assertSame($plan, $others[0]);
        $goals = array_map(fn (Plan $one): string => $one->goal->value.' '.($one->question->rules->scheme->value ?? 'any'), $others);
        self::assertSame(['safe any', 'free any', 'hands any', 'safe fan-out', 'safe relay', 'safe straight'], $goals);
        foreach ($others as $one) {
            self::assertCount(4, $one->decision->cards);
            $scheme = $one->question->rules->scheme;
            if ($scheme !== null) {
                self::assertSame($scheme->value, $one->scheme());
            }
        }
        self::assertLessThanOrEqual($plan->course->hands, $others[2]->course->hands, 'the plan of least hands begins with what is there');
        self::assertLessThanOrEqual($plan->course->allFree() + 1e-6, $others[1]->course->allFree());
    }

    public function test_where_a_scheme_was_asked_for_no_other_is_offered(): void
    {
        $question = RandomOffload::of(5, 3, 2, 3);
        $file = (array) json_decode(PlanFile::write($question, Goal::Safe), true);
        $file['rules'] = ['copies' => 2, 'scheme' => 'relay'];
        $plan = Plan::of(PlanFile::read((string) json_encode($file))->question, Goal::Safe, 0.02);
        self::assertSame(
            [Scheme::Relay, Scheme::Relay, Scheme::Relay],
            array_map(fn (Plan $one): ?Scheme => $one->question->rules->scheme, OtherPlans::of($plan, 0.02)),
        );
    }

    public function test_a_question_that_is_written_down_is_read_again_the_same(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $question = RandomOffload::of($seed, 1 + $seed % 6, 2 + $seed % 4, 2 + $seed % 3, isOpen: $seed % 2 === 0);
            $goal = Goal::cases()[$seed % 3];
            $json = PlanFile::write($question, $goal);
            $again = PlanFile::read($json);
            self::assertSame($goal, $again->goal);
            self::assertSame($json, PlanFile::write($again->question, $goal));
            $one = Plan::of($question, $goal, 0.01);
            self::assertEqualsWithDelta(
                $one->course->done,
                Plan::decided($again->question, $goal, $one->decision)->course->done,
                1e-6 * max(1.0, $one->course->done),
            );
        }
    }

    public function test_the_pinch_comes_first_and_a_card_can_be_it(): void
    {
        $plan = Plan::of(RandomOffload::of(2, 1, 1, 2), Goal::Safe, 0.02);
        $shares = array_map(fn (Load $load): float => $load->share, Load::of($plan));
        $sorted = $shares;
        rsort($sorted);
        self::assertSame($sorted, $shares);
        self::assertContains("{$plan->question->cards[0]->tag} itself", array_map(fn (Load $load): string => $load->name, Load::of($plan)));
        self::assertLessThanOrEqual(1 + 1e-9, max([0.0, ...$shares]), 'nothing is full for longer than all of it takes');
    }
}
