<?php

declare(strict_types=1);

namespace Tally\Verdict;

/** What to do next with a card. */
enum Step: string
{
    case Inspect = 'inspect';
    case Measure = 'measure';
    case MeasureAgain = 'measure-again';
    case Prove = 'prove';
    case ProveAgain = 'prove-again';
    case SetAside = 'set-aside';
    case RecordLess = 'record-less';
    case Offload = 'offload';

    public function words(): string
    {
        return match ($this) {
            self::Inspect => 'Look at it before plugging in',
            self::Measure => 'Measure its speed',
            self::MeasureAgain => 'Measure it again, on the same chain',
            self::Prove => 'Prove its capacity',
            self::ProveAgain => 'Prove it again, in another reader',
            self::SetAside => 'Set it aside; do not record on it',
            self::RecordLess => 'See what it may still record',
            self::Offload => 'See its fastest offload',
        };
    }
}
