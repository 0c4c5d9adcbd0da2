<?php

declare(strict_types=1);

namespace Tally\Transfer;

/** What can be wrong with one file, and whose trouble it is. */
enum TroubleKind: string
{
    case Unreadable = 'unreadable';
    case Changed = 'changed';
    case SourceDiffers = 'source-differs';
    case SourceUnsteady = 'source-unsteady';
    case CopyDiffers = 'copy-differs';
    case CopyUnsteady = 'copy-unsteady';
    case CopyUnreadable = 'copy-unreadable';

    /** Whether it is held against what is read from, and not against the drive that is written to. */
    public function isOfTheSource(): bool
    {
        return in_array($this, [self::Unreadable, self::Changed, self::SourceDiffers, self::SourceUnsteady], true);
    }
}
