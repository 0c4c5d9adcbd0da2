<?php

declare(strict_types=1);

namespace Tools\Trial;

/** What goes wrong with an offload in a trial. */
enum Mishap: string
{
    case None = 'nothing';
    case Relinked = 'both drives led to one';
    case Altered = 'copy altered after';
    case Deleted = 'copy deleted after';
    case Grows = 'a file grows';
    case MarkedBetween = 'marked between copies';
    case ClockBack = 'clock set back, marked';
    case ClockAhead = 'clock ahead, marked';
    case WrongBefore = 'wrong card before “is in”';
    case WrongBetween = 'wrong card between copies';
    case WrongAgain = 'wrong card before “again”';
    case WrongAfterDeath = 'wrong card after a death';
    case Killed = 'worker killed';

    /** Whether there is footage on the card afterwards that this offload cannot have. */
    public function isMarked(): bool
    {
        return in_array($this, [self::MarkedBetween, self::ClockBack, self::ClockAhead], true);
    }
}
