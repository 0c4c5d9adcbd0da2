<?php

declare(strict_types=1);

namespace Tally\Ledger;

/** What a card is due for. */
enum DueTest: string
{
    case Prove = 'prove';
    case Measure = 'measure';
    case Retire = 'retire';

    public function words(): string
    {
        return match ($this) {
            self::Prove => 'Prove it again',
            self::Measure => 'Measure it again',
            self::Retire => 'Take it out of service',
        };
    }
}
