<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;

/** What a plan would have been without a reader or a drive: for asking whether it was worth its price. */
final readonly class Without
{
    /**
     * @param  string  $name  of a reader or a drive
     * @return float|null seconds that the best plan without it takes; null where the question does not have it, or where some card
     * could not come home at all
     */
    public static function seconds(Question $question, Goal $goal, string $name): ?float
    {
        $readers = array_values(array_filter($question->readers, fn (Reader $one): bool => $one->name !== $name));
        $drives = array_values(array_filter($question->drives, fn (Drive $one): bool => $one->name !== $name));
        if (count($readers) === count($question->readers) && count($drives) === count($question->drives)) {
            return null;
        }
        $links = array_diff_key($question->links, [$name => true]);
        $plan = Plan::of(
            new Question($question->hosts, $readers, $drives, $question->cards, links: $links, rules: $question->rules),
            $goal,
        );

        return $plan->leftOut !== [] || count($plan->decision->cards) < count($question->cards) ? null : $plan->course->done;
    }
}
