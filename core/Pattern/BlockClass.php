<?php

declare(strict_types=1);

namespace Tally\Pattern;

/** What came back from a place, measured against what was written there; from best to worst. */
enum BlockClass: string
{
    case Holds = 'holds';
    case Stale = 'stale';
    case Blank = 'blank';
    case Echoes = 'echoes';
    case Scrambled = 'scrambled';
    case Unreadable = 'unreadable';

    public function meaning(): string
    {
        return match ($this) {
            self::Holds => 'came back as written',
            self::Stale => 'still holds what an earlier run wrote',
            self::Blank => 'all 00 or all FF: nothing was kept',
            self::Echoes => 'gave back what was written to another address',
            self::Scrambled => 'came back changed',
            self::Unreadable => 'the card answered with an error',
        };
    }

    /** 0 for the least grave. */
    public function gravity(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
