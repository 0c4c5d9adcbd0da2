<?php

declare(strict_types=1);

namespace Tally\Probe;

/** In which order a speed run writes and reads. */
enum PassOrder: string
{
    case Alternating = 'alternating';
    case WritesFirst = 'writes-first';

    public function words(): string
    {
        return match ($this) {
            self::Alternating => 'write, read, write, read',
            self::WritesFirst => 'all writes, then all reads',
        };
    }
}
