<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;

/** The best few plans that differ in kind: for another goal, or with all cards copied by one scheme. */
final readonly class OtherPlans
{
    /**
     * @param  Plan  $plan  that they are set beside, and the first of them
     * @param  float  $seconds  of search for each
     * @return list<Plan>
     */
    public static function of(Plan $plan, float $seconds): array
    {
        $question = $plan->question;
        $plans = [$plan];
        foreach (Goal::cases() as $goal) {
            if ($goal !== $plan->goal) {
                $plans[] = Plan::of($question, $goal, $seconds, $plan->decision);
            }
        }
        foreach ($question->rules->scheme === null ? $question->rules->schemes() : [] as $scheme) {
            $plans[] = Plan::of(self::by($question, $scheme), $plan->goal, $seconds);
        }

        return array_values(array_filter($plans, fn (Plan $one): bool => count($one->decision->cards) === count($plan->decision->cards)));
    }

    private static function by(Question $question, Scheme $scheme): Question
    {
        $rules = $question->rules;

        return $question->withRules(
            new Rules(
                $rules->copies,
                $rules->verify,
                $scheme,
                $rules->swap,
                first: $rules->first,
                overhead: $rules->overhead,
                hands: $rules->hands,
            ),
        );
    }
}
