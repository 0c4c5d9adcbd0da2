<?php

declare(strict_types=1);

namespace App\Runs;

/** What a run does to a card. */
enum RunKind: string
{
    case Speed = 'speed';
    case Sustained = 'sustained';
    case Files = 'files';
    case Copy = 'copy';
    case Proof = 'proof';

    public function label(): string
    {
        return match ($this) {
            self::Speed => 'speed run',
            self::Sustained => 'sustained run',
            self::Files => 'small files',
            self::Copy => 'timed copy',
            self::Proof => 'full proof',
        };
    }
}
