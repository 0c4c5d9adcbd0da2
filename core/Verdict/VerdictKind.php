<?php

declare(strict_types=1);

namespace Tally\Verdict;

/** The five things that can be said of a card. */
enum VerdictKind: string
{
    case Sham = 'Sham';
    case Shaky = 'Shaky';
    case Slow = 'Slow';
    case Unproven = 'Unproven';
    case Sound = 'Sound';

    /** A struck-out card never appears in a plan. */
    public function isStruckOut(): bool
    {
        return $this === self::Sham || $this === self::Shaky;
    }
}
