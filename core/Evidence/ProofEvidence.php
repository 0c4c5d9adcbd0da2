<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Tally\Measured\Chain;
use Tally\Record\ProofRecord;

/** A proof or a quick screen that counts. */
final readonly class ProofEvidence
{
    /** @param  bool  $wasAlone  whether nothing else took a part of the link: only then do its speeds count too */
    public function __construct(public Source $source, public Chain $chain, public ProofRecord $record, public bool $wasAlone = true) {}

    /** The write pass; null where it was not alone, or tells no course: of a screen, or where looking back ended it. */
    public function longWrite(): ?LongWriteEvidence
    {
        $record = $this->record;
        $shown = $record->extent->shown;

        return ! $this->wasAlone || $record->course === null || $record->screen !== null || $record->alarmAt !== null ? null
            : new LongWriteEvidence($this->source, $this->chain, $record->course, $record->write->bytes, $shown !== null && $record->write->bytes->count >= $shown->count);
    }

    public function describe(): string
    {
        $what = $this->record->screen === null ? 'full proof' : 'quick screen';

        return "{$what}, {$this->source->describe()}, {$this->record->covered()->decimal()} written and read back";
    }
}
