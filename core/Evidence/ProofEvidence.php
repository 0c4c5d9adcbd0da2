<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Tally\Measured\Chain;
use Tally\Quantity\Rate;
use Tally\Record\ProofRecord;

/** A proof or a quick screen that counts. */
final readonly class ProofEvidence
{
    /** @param  bool  $wasAlone  whether nothing else took a part of the link: only then do its speeds count too */
    public function __construct(public Source $source, public Chain $chain, public ProofRecord $record, public bool $wasAlone = true) {}

    /** Less than this is over before anything can be told of how fast. Bytes. */
    private const LEAST = 16_000_000;

    /** How fast its read pass was; null where that says nothing of the card: of a screen, of too little, or where it was not alone. */
    public function readRate(): ?Rate
    {
        $record = $this->record;

        return ! $this->wasAlone || $record->screen !== null || $record->alarmAt !== null || $record->read->bytes->count < self::LEAST
            ? null
            : $record->read->rate();
    }

    /** The write pass; null where it was not alone, or tells no course: of a screen, of too little, or where looking back ended it. */
    public function longWrite(): ?LongWriteEvidence
    {
        $record = $this->record;
        $shown = $record->extent->shown;

        return ! $this->wasAlone ||
            $record->course === null ||
            $record->screen !== null ||
            $record->alarmAt !== null ||
            $record->write->bytes->count < self::LEAST
            ? null
            : new LongWriteEvidence(
                $this->source,
                $this->chain,
                $record->course,
                $record->write->bytes,
                // All that a file system gave may be a small part of the card.
                isWholeCard: $shown !== null && ! $record->extent->isFolder && $record->write->bytes->count >= $shown->count,
            );
    }

    public function describe(): string
    {
        $what = $this->record->screen === null ? 'full proof' : 'quick screen';

        [$holds, $covered] = [$this->record->holds(), $this->record->covered()];
        $much = $this->record->bad()->isZero()
            ? "{$covered->decimal()} written and read back"
            : "{$holds->decimal()} of {$covered->decimal()} came back as written";

        return "{$what}, {$this->source->describe()}, {$much}";
    }
}
