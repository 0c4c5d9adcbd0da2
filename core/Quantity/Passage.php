<?php

declare(strict_types=1);

namespace Tally\Quantity;

use Tally\Value\Key;

/** Bytes that went one way, and how long that took. For writing, the clock stops when they are on the medium. */
final readonly class Passage
{
    public function __construct(public Bytes $bytes = new Bytes(0), #[Key('seconds')] public Span $span = new Span(0)) {}

    /** As long as it takes at that speed; no time at all where it is not known. */
    public static function at(Bytes $bytes, ?Rate $rate): self
    {
        return new self($bytes, $rate === null || $bytes->isZero() ? new Span(0) : $rate->timeFor($bytes));
    }

    /** Null when nothing was moved. */
    #[Key('rate')]
    public function rate(): ?Rate
    {
        return $this->bytes->isZero() || $this->span->seconds <= 0 ? null : Rate::ofTransfer($this->bytes, $this->span);
    }
}
