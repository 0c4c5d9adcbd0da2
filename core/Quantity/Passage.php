<?php

declare(strict_types=1);

namespace Tally\Quantity;

/** Bytes that went one way, and how long that took. For writing, the clock stops when they are on the medium. */
final readonly class Passage
{
    public function __construct(public Bytes $bytes, public Span $span) {}

    /** Null when nothing was moved. */
    public function rate(): ?Rate
    {
        return $this->bytes->isZero() || $this->span->seconds <= 0 ? null : Rate::ofTransfer($this->bytes, $this->span);
    }
}
