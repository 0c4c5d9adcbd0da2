<?php

declare(strict_types=1);

namespace App\Runs;

/** What a run does to a card. */
enum RunKind: string
{
    case Speed = 'speed';
    case Sustained = 'sustained';
    case Proof = 'proof';

    public function label(): string
    {
        return match ($this) {
            self::Speed => 'speed run',
            self::Sustained => 'sustained run',
            self::Proof => 'full proof',
        };
    }
}
