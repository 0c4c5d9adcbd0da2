<?php

declare(strict_types=1);

namespace Tally\Practice;

use Tally\Quantity\Bytes;
use Tally\Verdict\VerdictKind;

/** What somebody says an exercise is. */
final readonly class Call
{
    /** @param  Bytes|null  $capacity  null for “makes no difference any more” */
    public function __construct(public VerdictKind $verdict, public Holds $holds, public ?Bytes $capacity) {}

    /** @return list<Mistake> against what all evidence says; where the size makes no difference, none can be wrong */
    public function mistakes(Called $answer): array
    {
        $truth = $answer->verdict->kind;
        $isBad = fn (VerdictKind $kind): bool => $kind->isStruckOut() || $kind === VerdictKind::Slow;
        $verdict = match (true) {
            $this->verdict === $truth => null,
            $this->verdict === VerdictKind::Unproven => Mistake::LeftOpen,
            ! $isBad($this->verdict) => Mistake::ClearedBad,
            ! $isBad($truth) => Mistake::ConvictedGood,
            default => Mistake::OtherFault,
        };
        $holds = match (true) {
            $answer->holds === null || $this->holds === $answer->holds => null,
            $this->holds === Holds::Card => Mistake::BlamedCard,
            default => Mistake::OtherLimit,
        };
        $size = $answer->capacity === null || Called::isSame($this->capacity, $answer->capacity) ? null : Mistake::WrongSize;

        return array_values(array_filter([$verdict, $holds, $size], fn (?Mistake $one): bool => $one !== null));
    }
}
