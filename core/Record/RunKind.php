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
    case Screen = 'screen';

    public function label(): string
    {
        return match ($this) {
            self::Speed => 'speed run',
            self::Sustained => 'sustained run',
            self::Files => 'small files',
            self::Copy => 'timed copy',
            self::Proof => 'full proof',
            self::Screen => 'quick screen',
        };
    }

    /** Whether it tells of the capacity, and is carried out beside others: what it finds does not depend on how fast it was. */
    public function isProof(): bool
    {
        return $this === self::Proof || $this === self::Screen;
    }
}
