<?php

declare(strict_types=1);

namespace Tally\Verdict;

/** What to do next with a card. */
enum Step: string
{
    case Inspect = 'inspect';
    case Measure = 'measure';
    case Prove = 'prove';
    case Ask = 'ask';
    case SetAside = 'set-aside';
    case Offload = 'offload';

    public function words(): string
    {
        return match ($this) {
            self::Inspect => 'Look at it before plugging in',
            self::Measure => 'Measure its speed',
            self::Prove => 'Prove its capacity',
            self::Ask => 'Find out where it comes from',
            self::SetAside => 'Set it aside; do not record on it',
            self::Offload => 'See its fastest offload',
        };
    }
}
