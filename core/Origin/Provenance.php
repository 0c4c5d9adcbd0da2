<?php

declare(strict_types=1);

namespace Tally\Origin;

/** The way a card came into the house. */
enum Provenance: string
{
    case Retail = 'retail';
    case Marketplace = 'marketplace';
    case Sample = 'sample';
    case Lent = 'lent';

    public function words(): string
    {
        return match ($this) {
            self::Retail => 'retail: a shop',
            self::Marketplace => 'marketplace',
            self::Sample => 'sample: not yet sold',
            self::Lent => 'lent: another’s',
        };
    }
}
