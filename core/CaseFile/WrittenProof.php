<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Evidence\ProofEvidence;
use Tally\Label\Form;
use Tally\Measured\Instrument;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Rate;
use Tally\Record\ProofRecord;
use Tally\Value\ByHand;
use Tally\Value\Inline;
use Tally\Value\WrongField;

/** A full proof of a case. */
#[ByHand]
final readonly class WrittenProof implements WrittenRun
{
    /**
     * @param  list<Piece>  $course  of the write pass, in order
     * @param  Rate|null  $read  the mean of reading back
     *
     * @throws WrongField
     */
    public function __construct(
        public string $kind,
        #[Inline]
        private RunHead $head,
        #[Inline]
        private WhatCameBack $back,
        private Bytes $written,
        private Bytes $readBack,
        private array $course = [],
        private ?Rate $read = null,
        public bool $stopped = false,
    ) {
        Piece::length($course);
        if ($readBack->count > $written->count) {
            throw new WrongField('read_back', 'no more can be read back than was written.');
        }
        if ($written->count > $back->shows->count) {
            throw new WrongField('written', 'no more can be written than the medium shows.');
        }
    }

    public function evidence(string $name, Form $form, ?Instrument $bench = null): ProofEvidence
    {
        return new ProofEvidence($this->head->source($name), $this->head->chain($form, $bench), $this->record());
    }

    private function record(): ProofRecord
    {
        $core = $this->back->core($this->readBack->count);

        return new ProofRecord(
            imprint: 1,
            size: $this->back->shows,
            diagnosis: $this->back->diagnosis($core),
            firstBad: $core->firstBad(),
            classes: $core->bytesByClass(),
            patches: $core->patches(),
            grain: $core->grain(),
            write: Passage::at($this->written, Piece::mean($this->course)),
            read: Passage::at($this->readBack, $this->read),
            forgot: true,
            extent: $this->back->extent(),
            course: $this->course === [] ? null : Piece::course($this->course),
            reinserted: $this->back->reinserted,
        );
    }
}
