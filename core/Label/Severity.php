<?php

declare(strict_types=1);

namespace Tally\Label;

/** How much a finding on a label weighs. */
enum Severity: string
{
    case Note = 'note';
    case Doubt = 'doubt';
    case Contradiction = 'contradiction';

    /** The gravest first. */
    public function rank(): int
    {
        return match ($this) {
            self::Contradiction => 0,
            self::Doubt => 1,
            self::Note => 2,
        };
    }
}
