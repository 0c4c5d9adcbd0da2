<?php

declare(strict_types=1);

namespace Tally\Chain;

/** Where the figure that is planned with comes from. */
enum CeilingOrigin: string
{
    /** A published standard: what the link carries on paper. */
    case Standard = 'standard';
    /** What the trade sees; no source. */
    case Practice = 'practice';
    /** The house's own measurement. It wins once it exists. */
    case Measurement = 'measurement';
    /** What a label or an owner says, not measured. */
    case Claim = 'claim';

    public function words(): string
    {
        return $this === self::Measurement ? 'own measurement' : $this->value;
    }

    /** Where many stand side by side. */
    public function brief(): string
    {
        return $this === self::Measurement ? 'measured' : $this->value;
    }
}
