<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\Evidence;
use Tally\Evidence\ProofEvidence;
use Tally\Label\Label;
use Tally\Pattern\BlockClass;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;

/**
 * What the proofs of a card say of its capacity. Whole means whole; a fake keeps something and pretends more; errors convict
 * nobody, but for the same end met in two readers; and a whole proof stands for the memory. Handbook § 6 rules 1 and 2; house rules.
 */
final readonly class CapacityJudge
{
    /** Two ends so near are the same. */
    private const SAME_END = 0.01;

    /** @param  list<ProofEvidence>  $proofs */
    private function __construct(private Label $label, private float $full, private array $proofs) {}

    public static function judge(Evidence $evidence): Reason
    {
        $judge = new self($evidence->label, $evidence->house->by->full, $evidence->proofs);
        $found = [];
        foreach ($evidence->proofs as $proof) {
            foreach ([$judge->showsLess($proof), $judge->reason($proof)] as $reason) {
                $found[] = [$reason, $proof];
            }
        }
        $found[] = $judge->sameEndTwice();
        $found = array_values(array_filter($found, fn (?array $one): bool => $one !== null && $one[0] !== null));
        $passed = array_values(
            array_filter(
                $found,
                fn (array $one): bool => in_array($one[0]->id, [ReasonId::CapacityProven, ReasonId::CapacityUnits], true) &&
                    $judge->isFull($one[1]->record->covered(), $judge->label->least()),
            ),
        );
        $reasons = array_map(fn (array $one): Reason => self::besideWhole($one[0], $one[1], array_column($passed, 1)), $found);
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

    /** Sham by that alone, whatever was tested of it: whichever way its label is read. */
    private function showsLess(ProofEvidence $proof): ?Reason
    {
        $extent = $proof->record->extent;

        $isTold = $extent->shown !== null && ! $extent->isFolder && ! $extent->shown->isZero();

        return ! $isTold || $this->isFull($extent->shown, $this->label->least())
            ? null
            : Reason::of(
                ReasonId::CapacityShowsLess,
                Topic::Capacity,
                ['shown' => $extent->shown, 'label' => $this->label->least()],
                $proof->describe(),
            );
    }

    private function reason(ProofEvidence $proof): Reason
    {
        $record = $proof->record;
        $diagnosis = $record->diagnosis;
        $label = $this->label->capacity;
        $shown = $record->extent->shown ?? $record->size;
        $of = $this->label->least();
        // The medium must keep what it says itself, be that more than its label.
        $isFull = $this->isFull($diagnosis->capacity, $shown->count > $of->count ? $shown : $of);
        $isNothing = $diagnosis->capacity->isZero();
        $is = fn (Condition ...$any): bool => in_array($diagnosis->condition, $any, true);
        $isAnEnd = $record->reachesTheEnd();
        $lost = fn (ReasonId $id): ReasonId => match (true) {
            $isNothing => ReasonId::CapacityKeepsNothing,
            $isFull => ReasonId::CapacityTailLost,
            default => $id,
        };
        $id = match (true) {
            $shown->isZero() => ReasonId::CapacityShowsNothing,
            $is(Condition::Unknown) => ReasonId::CapacityNothingRead,
            $is(Condition::Wraps) => $lost(ReasonId::CapacityStartsOver),
            $is(Condition::KeepsNothing) => ReasonId::CapacityKeepsNothing,
            $is(Condition::KeepsOld) => ReasonId::CapacityKeepsOld,
            $is(Condition::Drops) && $isAnEnd => $lost(ReasonId::CapacityDropped),
            $is(Condition::Corrupts) && $isAnEnd => $lost(ReasonId::CapacitySpoilt),
            $is(Condition::Aliases) && ! $diagnosis->exact => ReasonId::CapacityShared,
            $is(Condition::Aliases) => $lost(ReasonId::CapacityShared),
            $is(Condition::Refuses) => $isNothing ? ReasonId::CapacityRefusesAll : ReasonId::CapacityEndsInErrors,
            ! $is(Condition::Whole) => $this->isOnlyErrors($proof) ? ReasonId::CapacityUnreadable : ReasonId::CapacityBadSpots,
            ! $record->forgot => ReasonId::CapacityNotForgotten,
            $record->screen !== null => ReasonId::CapacityScreened,
            ! $record->isWhole() => ReasonId::CapacityPart,
            $record->extent->isFolder && ! $this->isFull($record->covered(), $of) => ReasonId::CapacityFolderPart,
            // A label in units that nobody prints is full by one reading of it and not by the other.
            ! $this->isFull($record->covered(), $label) && $this->isFull($record->covered(), $of) => ReasonId::CapacityUnits,
            default => ReasonId::CapacityProven,
        };
        $errors = $record->classes[BlockClass::Unreadable->value] ?? 0;
        $more = match ($id) {
            ReasonId::CapacityBadSpots => [
                'errors' => Bytes::of($errors),
                'wrong' => Bytes::of(max(0, $record->bad()->count - $errors)),
                'much' => Diagnosis::isMuch($record->bad()->count, $record->covered()->count) ? 1 : 0,
            ],
            ReasonId::CapacityUnreadable => ['reader' => $proof->chain->reader ?? 'this reader'],
            // What a file system gives depends on what else is on it; a card is known by its label.
            ReasonId::CapacityPart => ['of' => $record->extent->isFolder && $record->covered()->count < $label->count ? $label : $shown],
            ReasonId::CapacityScreened => ['places' => $record->points() ?? 0],
            ReasonId::CapacityUnits => ['other' => $of],
            default => [],
        };

        return Reason::of(
            $id,
            Topic::Capacity,
            [
                'keeps' => $diagnosis->capacity,
                'exact' => $diagnosis->exact ? 1 : 0,
                'shown' => $shown,
                'label' => $label,
                'covered' => $record->covered(),
                'bad' => $record->bad(),
                ...$more,
            ],
            $proof->describe(),
        );
    }

    /** Whether nothing came back wrong, but was answered with errors, and by one reader alone. */
    private function isOnlyErrors(ProofEvidence $proof): bool
    {
        $errors = fn (ProofEvidence $one): int => $one->record->classes[BlockClass::Unreadable->value] ?? 0;
        $others = array_filter(
            $this->proofs,
            fn (ProofEvidence $one): bool => $one->chain->reader !== $proof->chain->reader && $errors($one) > 0,
        );

        return $others === [] && $errors($proof) === $proof->record->bad()->count;
    }

    private function isFull(Bytes $capacity, Bytes $of): bool
    {
        return $capacity->shareOf($of) >= $this->full;
    }

    /**
     * A whole proof stands for the memory: what is lost besides is a card that fails, or another one. Only data from other addresses
     * in a later proof convicts the medium in hand.
     *
     * @param  list<ProofEvidence>  $passed  that found it whole
     */
    private static function besideWhole(Reason $reason, ProofEvidence $proof, array $passed): Reason
    {
        if ($reason->bearing !== VerdictKind::Sham || $passed === []) {
            return $reason;
        }
        $on = $proof->source->on;
        $isLater = $on !== null && array_filter($passed, fn (ProofEvidence $one): bool => ! $one->source->isBefore($on)) === [];
        $isOfOthers = in_array($reason->id, [ReasonId::CapacityStartsOver, ReasonId::CapacityShared], true);
        if ($isLater && $isOfOthers) {
            return $reason;
        }
        $whole = $passed[count($passed) - 1];

        return Reason::of(
            ReasonId::CapacityNotAnyMore,
            Topic::Capacity,
            [
                'whole' => $whole->source->name,
                'of' => $whole->record->covered(),
                'keeps' => $reason->id === ReasonId::CapacityShowsLess ? $reason->figures['shown'] : $reason->figures['keeps'],
                'shows' => $reason->id === ReasonId::CapacityShowsLess ? 1 : 0,
                'older' => $on !== null && $whole->source->isBefore($on) ? 1 : 0,
                'covered' => $proof->record->covered(),
            ],
            "{$reason->evidence}; {$whole->describe()}",
        );
    }

    /**
     * Errors from one address on, at the same one in two readers, with the card out in between: that is where its memory ends. Within
     * files it is no address of the medium, and a screen tells no address.
     *
     * @return array{Reason, ProofEvidence}|null
     */
    private function sameEndTwice(): ?array
    {
        $ends = array_values(
            array_filter(
                $this->proofs,
                fn (ProofEvidence $proof): bool => $proof->record->diagnosis->condition === Condition::Refuses &&
                    ! $proof->record->extent->isFolder &&
                    $proof->record->screen === null &&
                    $proof->chain->reader !== null &&
                    ! $proof->record->diagnosis->capacity->isZero() &&
                    ! $this->isFull($proof->record->diagnosis->capacity, $proof->record->extent->shown ?? $proof->record->size),
            ),
        );
        foreach ($ends as $first) {
            foreach ($ends as $second) {
                [$a, $b] = [$first->record->diagnosis->capacity, $second->record->diagnosis->capacity];
                $isSame = abs($a->count - $b->count) <= self::SAME_END * max($a->count, $b->count);
                if ($first->chain->reader !== $second->chain->reader && $isSame && self::wasOutBetween($first, $second, $ends)) {
                    return [
                        Reason::of(
                            ReasonId::CapacitySameEndTwice,
                            Topic::Capacity,
                            [
                                'keeps' => $b,
                                'label' => $second->record->extent->shown ?? $second->record->size,
                                'covered' => $second->record->covered(),
                            ],
                            "{$first->describe()}; {$second->describe()}, in {$first->chain->reader} and {$second->chain->reader}",
                        ),
                        $second,
                    ];
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
