<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Quantity\Rate;

/** What long writes say about what a label promises to keep up: its class floor, and its sustained claim. */
final readonly class SustainedJudge
{
    /** @return list<Reason> */
    public static function judge(Evidence $evidence): array
    {
        $run = self::telling($evidence->sustained);
        $mark = $evidence->label->topMark();
        $claim = $evidence->label->sustained;

        return $run === null ? [] : array_values(array_filter([
            $mark === null ? null : self::against($evidence, $run, $mark->floor(), "{$mark->value} promises {$mark->floor()->print()}."),
            $claim === null ? null : self::against($evidence, $run, $claim, "the label claims {$claim->print()} sustained."),
        ]));
    }

    /**
     * The longest write tells most; of equals the faster one, since a slower chain can only take away.
     *
     * @param  list<SustainedEvidence>  $runs
     */
    private static function telling(array $runs): ?SustainedEvidence
    {
        usort($runs, fn (SustainedEvidence $a, SustainedEvidence $b): int => [$b->written->count, $b->floor->bytesPerSecond] <=> [$a->written->count, $a->floor->bytesPerSecond]);

        return $runs[0] ?? null;
    }

    private static function against(Evidence $evidence, SustainedEvidence $run, Rate $promise, string $words): Reason
    {
        return match (true) {
            ! $run->floor->isBelow($promise) => new Reason(VerdictKind::Sound, "Never under {$run->floor->print()} over {$run->window} s;", $words, $run->source()),
            ! $run->path->couldShow($promise) => new Reason(VerdictKind::Unproven, "Sustained {$run->floor->print()}: not judged here.", trim("{$run->path->excuse()} {$evidence->whereItCouldShow($promise)}"), $run->source()),
            default => new Reason(VerdictKind::Slow, "Falls to {$run->floor->print()} over {$run->window} s;", $words, $run->source()),
        };
    }
}
