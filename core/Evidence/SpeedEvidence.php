<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Closure;
use Tally\Label\Label;
use Tally\Measured\Chain;
use Tally\Measured\Reached;
use Tally\Reading\Thresholds;
use Tally\Record\SpeedRecord;

/** A speed run that counts. */
final readonly class SpeedEvidence
{
    public function __construct(public Source $source, public Chain $chain, public SpeedRecord $record) {}

    /** @param  list<Reached>|(Closure(): list<Reached>)  $reached  what the house saw its readers carry */
    public function reading(Label $label, array|Closure $reached = [], Thresholds $by = new Thresholds()): SpeedReading
    {
        return SpeedReading::of($this->record, $this->chain, $label, $this->source->isTyped, $reached, $by);
    }

    public function describe(): string
    {
        return "{$this->source->describe()}, {$this->record->covers()}, {$this->chain->describe()}";
    }
}
