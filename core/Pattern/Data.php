<?php

declare(strict_types=1);

namespace Tally\Pattern;

/**
 * Bytes on their way to or from a medium. They are made when asked for: a made-up medium that only keeps books of a
 * terabyte never asks.
 */
interface Data
{
    /** Bytes. */
    public function length(): int;

    public function bytes(): string;
}
