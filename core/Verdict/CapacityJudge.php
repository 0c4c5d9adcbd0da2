<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\Evidence;
use Tally\Evidence\ProofEvidence;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;

/**
 * What the proofs of a card say of its capacity. Whole means whole; a fake needs a fake's mark; errors convict nobody, but
 * for the same end met twice with the card out in between. Handbook § 6 rules 1 and 2; house rules.
 */
final readonly class CapacityJudge
{
    /** Two ends so near are the same. */
    private const SAME_END = 0.01;

    public static function judge(Evidence $evidence): Reason
    {
        $label = $evidence->label->capacity;
        $full = $evidence->house->by->full;
        $reasons = [];
        foreach ($evidence->proofs as $proof) {
            $reasons[] = self::showsLess($proof, $label, $full);
            $reasons[] = self::reason($proof, $label, $full);
        }
        $reasons[] = self::sameEndTwice($evidence->proofs);
        $reasons = array_values(array_filter($reasons, fn (?Reason $one): bool => $one !== null));
        // A fault once seen is not undone by a later proof that happens to pass; of what is open, what covers most.
        usort($reasons, fn (Reason $a, Reason $b): int => [self::rank($a), self::covered($b)] <=> [self::rank($b), self::covered($a)]);

        return $reasons[0] ?? Reason::of(ReasonId::CapacityNotProven, Topic::Capacity, [], 'a full proof would settle it');
    }

    private static function rank(Reason $reason): int
    {
        return match ($reason->bearing) {
            VerdictKind::Sham => 0,
            VerdictKind::Shaky => 1,
            VerdictKind::Sound => 2,
            default => 3,
        };
    }

    private static function covered(Reason $reason): int
    {
        $covered = $reason->figures['covered'] ?? null;

        return $covered instanceof Bytes ? $covered->count : 0;
    }

    /** Sham by that alone, whatever was tested of it. */
    private static function showsLess(ProofEvidence $proof, Bytes $label, float $full): ?Reason
    {
        $extent = $proof->record->extent;

        return $extent->shown === null || $extent->isFolder || self::isFull($extent->shown, $label, $full)
            ? null
            : Reason::of(ReasonId::CapacityShowsLess, Topic::Capacity, ['shown' => $extent->shown, 'label' => $label], $proof->describe());
    }

    private static function reason(ProofEvidence $proof, Bytes $label, float $full): Reason
    {
        $record = $proof->record;
        $diagnosis = $record->diagnosis;
        $shown = $record->extent->shown ?? $record->size;
        // The medium must keep what it says itself, be that more than its label.
        $isFull = self::isFull($diagnosis->capacity, $shown->count > $label->count ? $shown : $label, $full);
        $figures = [
            'keeps' => $diagnosis->capacity,
            'exact' => $diagnosis->exact ? 1 : 0,
            'shown' => $shown,
            'label' => $label,
            'covered' => $record->covered(),
            'bad' => $record->bad(),
        ];
        $is = fn (Condition ...$any): bool => in_array($diagnosis->condition, $any, true);
        $isAnEnd = $record->reachesTheEnd() && ! $isFull;
        $id = match (true) {
            $is(Condition::Unknown) => ReasonId::CapacityNothingRead,
            $is(Condition::Wraps) => ReasonId::CapacityStartsOver,
            $is(Condition::Drops) && $isAnEnd => ReasonId::CapacityDropped,
            $is(Condition::Corrupts) && $isAnEnd => ReasonId::CapacitySpoilt,
            $is(Condition::Aliases) && (! $diagnosis->exact || ! $isFull) => ReasonId::CapacityShared,
            $is(Condition::Refuses) => ReasonId::CapacityEndsInErrors,
            ! $is(Condition::Whole) => ReasonId::CapacityBadSpots,
            ! $record->forgot => ReasonId::CapacityNotForgotten,
            $record->screen !== null => ReasonId::CapacityScreened,
            ! $record->isWhole() => ReasonId::CapacityPart,
            $record->extent->isFolder && ! self::isFull($record->covered(), $label, $full) => ReasonId::CapacityFolderPart,
            default => ReasonId::CapacityProven,
        };
        $more = match ($id) {
            ReasonId::CapacityBadSpots => ['much' => Diagnosis::isMuch($record->bad()->count, $record->covered()->count) ? 1 : 0],
            // What a file system gives depends on what else is on it; a card is known by its label.
            ReasonId::CapacityPart => ['of' => $record->extent->isFolder && $record->covered()->count < $label->count ? $label : $shown],
            ReasonId::CapacityScreened => ['places' => $record->points() ?? 0],
            default => [],
        };

        return Reason::of($id, Topic::Capacity, [...$figures, ...$more], $proof->describe());
    }

    /** @param  float  $full  from this share of the label's decimal figure on */
    private static function isFull(Bytes $capacity, Bytes $of, float $full): bool
    {
        return $capacity->shareOf($of) >= $full;
    }

    /**
     * Errors from one address on, twice at the same one, with the card out in between: that is where its memory ends.
     *
     * @param  list<ProofEvidence>  $proofs
     */
    private static function sameEndTwice(array $proofs): ?Reason
    {
        $ends = array_values(
            array_filter($proofs, fn (ProofEvidence $proof): bool => $proof->record->diagnosis->condition === Condition::Refuses),
        );
        foreach ($ends as $first) {
            foreach ($ends as $second) {
                [$a, $b] = [$first->record->diagnosis->capacity, $second->record->diagnosis->capacity];
                $isSame = abs($a->count - $b->count) <= self::SAME_END * max($a->count, $b->count);
                if ($first !== $second && $isSame && self::wasOutBetween($first, $second, $ends)) {
                    return Reason::of(
                        ReasonId::CapacitySameEndTwice,
                        Topic::Capacity,
                        [
                            'keeps' => $b,
                            'label' => $second->record->extent->shown ?? $second->record->size,
                            'covered' => $second->record->covered(),
                        ],
                        "{$first->describe()}; {$second->describe()}, the card having been out in between",
                    );
                }
            }
        }

        return null;
    }

    /** @param  list<ProofEvidence>  $ends */
    private static function wasOutBetween(ProofEvidence $first, ProofEvidence $second, array $ends): bool
    {
        [$from, $to] = [$first->source->on, $second->source->on];
        if ($from === null || $to === null) {
            // Nobody knows which was first: out before either of them will do.
            return $second->record->reinserted;
        }
        foreach ($ends as $one) {
            $on = $one->source->on;
            if ($one->record->reinserted && $one !== $first && $on !== null && $on >= $from && $on <= $to && $from <= $to) {
                return true;
            }
        }

        return false;
    }
}
