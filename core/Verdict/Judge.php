<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Label\Finding;

/** Evidence in, verdict out. It is a pure function: the same evidence always gives the same verdict. */
final readonly class Judge
{
    public static function judge(Evidence $evidence): Verdict
    {
        $capacity = CapacityJudge::judge($evidence);
        $speed = [...SustainedJudge::judge($evidence), ...SpeedJudge::judge($evidence)];
        $contradictions = array_map(self::fromFinding(...), $evidence->contradictions());
        $reasons = [...$contradictions, ...$evidence->troubles(), $capacity, ...$speed];
        $open = SpeedJudge::leavesOpen($evidence);
        $kind = self::kind($reasons, $capacity, $open || $contradictions !== []);

        $weight = fn (Reason $reason): int => match (true) {
            $reason->bearing === $kind => 0,
            $reason->bearing === VerdictKind::Sound => 2,
            default => 1,
        };
        usort($reasons, fn (Reason $a, Reason $b): int => $weight($a) <=> $weight($b));

        return new Verdict($kind, $reasons, self::next($kind, $capacity, $open, $evidence));
    }

    private static function fromFinding(Finding $finding): Reason
    {
        return $finding->convicts
            ? new Reason(VerdictKind::Sham, 'It contradicts itself.', $finding->reason, $finding->source)
            : new Reason(VerdictKind::Unproven, 'It contradicts the market.', $finding->reason, $finding->source);
    }

    /** @param  list<Reason>  $reasons */
    private static function kind(array $reasons, Reason $capacity, bool $open): VerdictKind
    {
        $bearings = array_map(fn (Reason $reason): VerdictKind => $reason->bearing, $reasons);
        foreach ([VerdictKind::Sham, VerdictKind::Shaky, VerdictKind::Slow] as $grave) {
            if (in_array($grave, $bearings, true)) {
                return $grave;
            }
        }

        return $capacity->bearing === VerdictKind::Sound && ! $open ? VerdictKind::Sound : VerdictKind::Unproven;
    }

    private static function next(VerdictKind $kind, Reason $capacity, bool $open, Evidence $evidence): Step
    {
        $begun = $evidence->speeds !== [] || $evidence->proofs !== [];

        return match (true) {
            $kind->isStruckOut() => Step::SetAside,
            ! $begun && ! $evidence->looked => Step::Inspect,
            $open && $evidence->speeds === [] => Step::Measure,
            $capacity->bearing !== VerdictKind::Sound => Step::Prove,
            $open => Step::Measure,
            $kind === VerdictKind::Unproven => Step::Ask,
            default => Step::Offload,
        };
    }
}
