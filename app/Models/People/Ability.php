<?php

declare(strict_types=1);

namespace App\Models\People;

/** What not everybody may do. Looking is open to whoever is signed in. */
enum Ability: string
{
    /** Enter and correct cards and gear, order runs, type figures in. */
    case Write = 'write';
    /** Order raw runs, which destroy what is on a card, and clear footage. */
    case Erase = 'erase';
    /** Take a run out of every verdict, and back. */
    case Void = 'void';
    /** Say otherwise than the evidence. */
    case Overrule = 'overrule';
    /** Change what the house goes by, and the slots of a bench. */
    case Rules = 'rules';
    case People = 'people';

    public function words(): string
    {
        return match ($this) {
            self::Write => 'enter cards and order runs',
            self::Erase => 'erase and clear cards',
            self::Void => 'void runs',
            self::Overrule => 'overrule verdicts',
            self::Rules => 'change house rules and benches',
            self::People => 'manage people',
        };
    }
}
