<?php

declare(strict_types=1);

namespace Tally\Ledger;

/** What a card is due for. */
enum DueTest: string
{
    case Prove = 'prove';
    case Measure = 'measure';

    public function words(): string
    {
        return $this === self::Prove ? 'Prove it again' : 'Measure it again';
    }
}
