<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Tally\Label\Label;
use Tally\Measured\Chain;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Record\LongWrite;

/** A sustained run, or the write pass of a proof: what was kept up over so many bytes. */
final readonly class LongWriteEvidence
{
    /** A long write is a quarter of the card and so much at the least, or all of a smaller one: handbook § 6 rule 6. Bytes. */
    private const LONG = 10_000_000_000;

    /** All of a card, as near as its label tells it. */
    private const ALL = 0.93;

    /** @param  bool  $isWholeCard  whether all there was has been written */
    public function __construct(
        public Source $source,
        public Chain $chain,
        public LongWrite $course,
        public Bytes $written,
        public bool $isWholeCard = false,
    ) {}

    /** Whether it tells of a class: short ones only ever speak against one. */
    public function isLong(Label $label): bool
    {
        return $this->isWholeCard || $this->written->count >= self::long($label)->count;
    }

    /** From how much on a write to such a card is long. */
    public static function long(Label $label): Bytes
    {
        $card = $label->capacity->count;

        return Bytes::of((int) min(max(self::LONG, $card / 4), self::ALL * $card));
    }

    /** The lowest window; null where it was too short to have one, or is faster than this card or chain carries on paper. */
    public function floor(Label $label): ?Rate
    {
        $floor = $this->course->floor;

        return $floor === null || $this->chain->mostOnPaper($label)->nominal->isBelow($floor) ? null : $floor;
    }

    public function describe(): string
    {
        return "{$this->source->describe()}, lowest {$this->course->window} s ".
            "of {$this->written->decimal()} written, {$this->chain->describe()}";
    }
}
