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

    /** Of a drive, in a list. */
    public function words(): string
    {
        return match ($this) {
            self::Unreadable => 'could not be read',
            self::Changed => 'changed while it was copied',
            self::SourceDiffers => 'is not what it was before',
            self::SourceUnsteady => 'reads differently each time',
            self::CopyDiffers => 'gave back other bytes, twice the same',
            self::CopyUnsteady => 'read wrong once and right the second time',
            self::CopyUnreadable => 'could not be read back',
        };
    }

    /** Whether it is held against what is read from, and not against the drive that is written to. */
    public function isOfTheSource(): bool
    {
        return in_array($this, [self::Unreadable, self::Changed, self::SourceDiffers, self::SourceUnsteady], true);
    }
}
