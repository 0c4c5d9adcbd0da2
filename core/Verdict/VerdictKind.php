<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Label\Severity;

/** The five things that can be said of a card, the gravest first. */
enum VerdictKind: string
{
    case Sham = 'Sham';
    case Shaky = 'Shaky';
    case Slow = 'Slow';
    case Unproven = 'Unproven';
    case Sound = 'Sound';

    /** What a finding bears, wherever it is shown: a contradiction Sham, a doubt Unproven, a note nothing. Handbook § 6. */
    public static function borneBy(Severity $severity): ?self
    {
        return match ($severity) {
            Severity::Contradiction => self::Sham,
            Severity::Doubt => self::Unproven,
            Severity::Note => null,
        };
    }

    /** A struck-out card never appears in a plan. */
    public function isStruckOut(): bool
    {
        return $this === self::Sham || $this === self::Shaky;
    }

    /** 0 for the gravest. */
    public function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
