<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Evidence\ProofEvidence;
use Tally\Label\Form;
use Tally\Measured\Instrument;
use Tally\Pattern\TestPattern;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Reading\BlockMap;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;
use Tally\Record\ProofRecord;
use Tally\Value\ByHand;
use Tally\Value\Inline;
use Tally\Value\WrongField;

/** A quick screen of a case. */
#[ByHand]
final readonly class WrittenScreen implements WrittenRun
{
    /**
     * @param  int  $points  places that were stamped
     *
     * @throws WrongField
     */
    public function __construct(
        public string $kind,
        #[Inline]
        private RunHead $head,
        #[Inline]
        private WhatCameBack $back,
        private int $points,
        public bool $stopped = false,
    ) {
        if ($points < ScreenPlan::LEAST || $points > ScreenPlan::MOST) {
            throw new WrongField('points', 'give a whole number from '.ScreenPlan::LEAST.' to '.ScreenPlan::MOST.'.');
        }
    }

    public function evidence(string $name, Form $form, ?Instrument $bench = null): ProofEvidence
    {
        return new ProofEvidence($this->head->source($name), $this->head->chain($form, $bench), $this->record());
    }

    private function record(): ProofRecord
    {
        $shown = $this->back->shows;
        // Behind an error nothing came back.
        $core = $this->back->core(min($shown->count, $this->back->refusedAt()->count ?? $shown->count));
        $stamped = Bytes::of($this->points * TestPattern::BLOCK);

        return new ProofRecord(
            imprint: 1,
            size: $shown,
            diagnosis: $this->diagnosis($core),
            firstBad: $core->firstBad(),
            classes: array_map(
                fn (int $bytes): int => (int) round(($stamped->count * $bytes) / max(1, $shown->count)),
                $core->bytesByClass(),
            ),
            patches: $core->patches(),
            write: Passage::at($stamped, null),
            read: Passage::at($stamped, null),
            forgot: true,
            places: $this->points,
            extent: $this->back->extent(),
            reinserted: $this->back->reinserted,
        );
    }

    /** Where it was not stamped it is not known. */
    private function diagnosis(BlockMap $core): Diagnosis
    {
        $of = $this->back->diagnosis($core);

        return $core->bad() > 0 || $of->condition === Condition::Refuses
            ? Diagnosis::found($of->condition, $of->capacity, $of->wrap, $of->wrapFrom, exact: false)
            : Diagnosis::found(Condition::Whole, $this->back->shows, null, null, exact: false);
    }
}
