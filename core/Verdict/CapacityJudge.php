<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Reading\Coverage;
use Tally\Reading\Diagnosis;

/** What the proofs of a card say about its capacity. */
final readonly class CapacityJudge
{
    /** A card is full size from this share of the label's decimal figure on: house rule. */
    public const FULL = 0.93;

    /** And a good deal more than its label from this share on. */
    private const MORE = 1.07;

    public static function judge(Evidence $evidence): Reason
    {
        $label = $evidence->label->capacity;
        $worst = null;
        foreach ($evidence->proofs as $proof) {
            $reason = self::reason($proof, $label);
            // A fault once seen is not undone by a later proof that happens to pass.
            if ($worst === null || self::rank($reason) < self::rank($worst)) {
                $worst = $reason;
            }
        }

        return $worst ?? new Reason(VerdictKind::Unproven, 'Capacity not proven.', 'Nothing was written to it and read back.', 'a full proof would settle it');
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

    private static function reason(ProofEvidence $proof, Bytes $label): Reason
    {
        $capacity = $proof->diagnosis->capacity;
        $full = $capacity->shareOf($label) >= self::FULL;
        $condition = $proof->diagnosis->condition;

        $keeps = ($proof->diagnosis->exact ? 'Keeps ' : 'Keeps about ').$capacity->decimal().' of the '.$label->decimal();

        return match (true) {
            $condition === Condition::Unknown => new Reason(VerdictKind::Unproven, 'Capacity not proven.', 'The proof was stopped before anything was read back.', $proof->run),
            $condition === Condition::Wraps => new Reason(VerdictKind::Sham, $keeps,
                'on its label: it starts over, so new clips overwrite old ones.', $proof->source()),
            $condition === Condition::Drops && ! $full => new Reason(VerdictKind::Sham, $keeps,
                'on its label: nothing after that is kept.', $proof->source()),
            $condition === Condition::Corrupts && ! $full => new Reason(VerdictKind::Sham, $keeps,
                'on its label: what comes after that is spoilt.', $proof->source()),
            $condition === Condition::Aliases && ! $proof->diagnosis->exact => new Reason(VerdictKind::Sham, "Keeps less than the {$label->decimal()}",
                'on its label: several addresses share one place, so new clips overwrite old ones. How much less, only a proof of the whole map tells.', $proof->source()),
            $condition === Condition::Aliases && ! $full => new Reason(VerdictKind::Sham, $keeps,
                'on its label: several addresses share one place, so new clips overwrite old ones.', $proof->source()),
            $condition !== Condition::Whole => new Reason(VerdictKind::Shaky, "{$proof->bad->decimal()} of {$proof->covered->decimal()} came back wrong.",
                Diagnosis::isMuch($proof->bad->count, $proof->covered->count) ? 'That much is no spot any more: a dying card, or a fake of a kind that is not told apart. Do not use it.' : 'Bad spots, not a false size: a faulty card. Do not use it.', $proof->source()),
            $proof->shown !== null && $proof->shown->shareOf($label) < self::FULL => new Reason(VerdictKind::Sham, "Shows only {$proof->shown->decimal()} of the {$label->decimal()}",
                'on its label, to any computer.', $proof->source()),
            ! $proof->forgot => new Reason(VerdictKind::Unproven, 'Capacity not proven here.',
                'This host could not be made to forget the data before reading it back.', $proof->source()),
            $proof->points !== null => new Reason(VerdictKind::Unproven, 'Screened, not proven.',
                (new Coverage($proof->points))->excluded().' A full proof would settle it.', $proof->source()),
            $proof->shown !== null && $proof->shown->shareOf($label) > self::MORE => new Reason(VerdictKind::Unproven, "Shows and holds {$proof->shown->decimal()},",
                "more than the {$label->decimal()} on its label: the label belongs to another card.", $proof->source()),
            ! $full => new Reason(VerdictKind::Unproven, "Proven for {$capacity->decimal()} of {$label->decimal()} only.",
                'The rest was not tested.', $proof->source()),
            default => new Reason(VerdictKind::Sound, "Holds all of {$capacity->decimal()}.", 'Every block came back as written.', $proof->source()),
        };
    }
}
