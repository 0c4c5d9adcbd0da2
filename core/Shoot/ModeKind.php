<?php

declare(strict_types=1);

namespace Tally\Shoot;

/** What a mode of a camera writes. */
enum ModeKind: string
{
    case LongGop = 'long-gop';
    case AllIntra = 'all-intra';
    case Raw = 'raw';
    case Stills = 'stills';

    public function label(): string
    {
        return match ($this) {
            self::LongGop => 'long-GOP',
            self::AllIntra => 'all-intra',
            self::Raw => 'raw video',
            self::Stills => 'stills',
        };
    }
}
