<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Label\Contradictions;
use Tally\Label\Finding;
use Tally\Label\Severity;

/** Evidence in, verdict out. It is a pure function: the same evidence always gives the same verdict. */
final readonly class Judge
{
    public static function judge(Evidence $evidence): Verdict
    {
        $capacity = CapacityJudge::judge($evidence);
        $speed = SpeedJudge::judge($evidence);
        $label = array_map(self::fromFinding(...), self::contradictions($evidence));
        $reasons = [...$label, $capacity, ...$speed];
        $open = SpeedJudge::leavesOpen($evidence);
        $kind = self::kind([...$label, $capacity, ...$speed], $capacity, $open);

        $weight = fn (Reason $reason): int => match (true) {
            $reason->bearing === $kind => 0,
            $reason->bearing === VerdictKind::Sound => 2,
            default => 1,
        };
        usort($reasons, fn (Reason $a, Reason $b): int => $weight($a) <=> $weight($b));

        return new Verdict($kind, $reasons, self::next($kind, $capacity, $open, $evidence->speeds !== []));
    }

    /** @return list<Finding> */
    private static function contradictions(Evidence $evidence): array
    {
        return array_values(array_filter(
            Contradictions::of($evidence->label),
            fn (Finding $finding): bool => $finding->severity === Severity::Contradiction,
        ));
    }

    private static function fromFinding(Finding $finding): Reason
    {
        return new Reason(VerdictKind::Sham, 'Its label contradicts itself.', $finding->reason, $finding->source);
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

    private static function next(VerdictKind $kind, Reason $capacity, bool $open, bool $measured): Step
    {
        return match (true) {
            $kind->isStruckOut() => Step::SetAside,
            $open && ! $measured => Step::Measure,
            $capacity->bearing !== VerdictKind::Sound => Step::Prove,
            $open => Step::Measure,
            default => Step::Offload,
        };
    }
}
