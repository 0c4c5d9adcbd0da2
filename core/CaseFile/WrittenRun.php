<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Label\Form;
use Tally\Measured\Instrument;
use Tally\Value\OneOf;

/** One run of a case, as it is written down. */
#[OneOf('kind', [
    'speed' => WrittenSpeed::class,
    'sustained' => WrittenLongWrite::class,
    'proof' => WrittenProof::class,
    'screen' => WrittenScreen::class,
])]
interface WrittenRun
{
    /**
     * @param  string  $name  where it has none of its own
     * @param  Form  $form  of the card
     * @param  Instrument|null  $bench  that measured
     */
    public function evidence(string $name, Form $form, ?Instrument $bench = null): SpeedEvidence|ProofEvidence|LongWriteEvidence;
}
