<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\Evidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Inspection\SeatingTrouble;
use Tally\Inspection\Seen;
use Tally\Label\About;
use Tally\Label\Finding;
use Tally\Quantity\Bytes;

/** Evidence in, verdict out. It is a pure function: the same evidence always gives the same verdict, in whatever order it comes. */
final readonly class Judge
{
    public static function judge(Evidence $evidence): Verdict
    {
        $evidence = $evidence->inOrder();
        $capacity = CapacityJudge::judge($evidence);
        $repeats = Repeats::among($evidence);
        $all = [
            ...array_map(self::fromFinding(...), $evidence->findings()),
            ...self::troubles($evidence),
            $capacity,
            ...$repeats->reasons,
            ...(new FloorJudge($evidence, $repeats))->judge(),
            ...(new ClaimJudge($evidence, $repeats))->judge(),
            ...self::changed($evidence->speeds),
            ...ExcludedFigures::notes($evidence),
        ];
        $reasons = array_values(array_filter($all, fn (Reason $reason): bool => $reason->bearing !== null));
        $notes = array_values(array_filter($all, fn (Reason $reason): bool => $reason->bearing === null));
        $kind = self::kind($reasons);
        usort($reasons, fn (Reason $a, Reason $b): int => self::weight($a, $kind) <=> self::weight($b, $kind));
        assert($reasons !== []);

        return new Verdict($kind, $reasons, $notes, self::next($kind, $reasons, $capacity, $evidence));
    }

    private static function fromFinding(Finding $finding): Reason
    {
        $bearing = VerdictKind::borneBy($finding->severity);
        $topic = match ($finding->about) {
            About::Label => Topic::Label,
            About::Contact => Topic::Contact,
            About::Price => Topic::Price,
        };
        $lead = match ($bearing) {
            VerdictKind::Sham => 'It contradicts itself.',
            null => 'Note.',
            default => 'Doubt.',
        };

        return Reason::finding($finding->id, $topic, $bearing, $lead, sentence: $finding->reason, source: $finding->source);
    }

    /** @return list<Reason> what was seen on it that strikes it out */
    private static function troubles(Evidence $evidence): array
    {
        $seen = array_values(array_filter($evidence->seen, fn (Seen $one): bool => $one->isTrouble()));
        $reasons = array_map(
            fn (Seen $one): Reason => Reason::of(ReasonId::FoundOnlyPressed, Topic::Contact, ['seen' => $one->sentence()], $one->source()),
            $seen,
        );
        $nowhere = SeatingTrouble::among($evidence->seen);

        return $nowhere === null
            ? $reasons
            : [
                ...$reasons,
                Reason::of(
                    ReasonId::FoundNowhere,
                    Topic::Contact,
                    ['readers' => implode(' and ', $nowhere->readers)],
                    $nowhere->last->source(),
                ),
            ];
    }

    /**
     * @param  list<SpeedEvidence>  $speeds
     * @return list<Reason>
     */
    private static function changed(array $speeds): array
    {
        $wrong = array_values(array_filter($speeds, fn (SpeedEvidence $one): bool => $one->record->wrong > 0));

        return array_map(
            fn (SpeedEvidence $one): Reason => Reason::of(
                ReasonId::DataChanged,
                Topic::Capacity,
                ['wrong' => Bytes::of($one->record->wrong)],
                $one->describe(),
            ),
            $wrong,
        );
    }

    /** @param  list<Reason>  $reasons */
    private static function kind(array $reasons): VerdictKind
    {
        foreach ([VerdictKind::Sham, VerdictKind::Shaky, VerdictKind::Slow] as $grave) {
            if (array_filter($reasons, fn (Reason $reason): bool => $reason->bearing === $grave) !== []) {
                return $grave;
            }
        }

        // A doubt stays in sight, and a claim that cannot be judged here stays open; neither keeps a proven card from being Sound.
        return array_filter($reasons, fn (Reason $reason): bool => $reason->keepsOpen) === [] ? VerdictKind::Sound : VerdictKind::Unproven;
    }

    private static function weight(Reason $reason, VerdictKind $kind): int
    {
        return match (true) {
            $reason->bearing === $kind && ($reason->keepsOpen || $kind !== VerdictKind::Unproven) => 0,
            $reason->bearing === VerdictKind::Sound => 3,
            $reason->keepsOpen => 1,
            default => 2,
        };
    }

    /** @param  list<Reason>  $reasons */
    private static function next(VerdictKind $kind, array $reasons, Reason $capacity, Evidence $evidence): Step
    {
        $ofKind = array_filter($reasons, fn (Reason $reason): bool => $reason->bearing === $kind);
        $areAll = fn (ReasonId ...$ids): bool => array_filter($ofKind, fn (Reason $reason): bool => ! in_array($reason->id, $ids, true)) ===
            [];
        $isOpen = array_filter($reasons, fn (Reason $reason): bool => $reason->keepsOpen && $reason->topic !== Topic::Capacity) !== [];

        return match (true) {
            $kind === VerdictKind::Shaky &&
                $areAll(ReasonId::CapacityEndsInErrors, ReasonId::CapacityRefusesAll, ReasonId::CapacityUnreadable) => Step::ProveAgain,
            $kind === VerdictKind::Shaky && $areAll(ReasonId::RepeatDiffers, ReasonId::ReadFarUnderWrite) => Step::MeasureAgain,
            $kind->isStruckOut() => Step::SetAside,
            $evidence->isEmpty() && ! $evidence->looked => Step::Inspect,
            $isOpen && $evidence->speeds === [] => Step::Measure,
            $capacity->bearing !== VerdictKind::Sound => Step::Prove,
            $isOpen => Step::Measure,
            $kind === VerdictKind::Slow => Step::RecordLess,
            default => Step::Offload,
        };
    }
}
