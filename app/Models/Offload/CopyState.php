<?php

declare(strict_types=1);

namespace App\Models\Offload;

/** Where one copy of a card stands. */
enum CopyState: string
{
    case Waiting = 'waiting';
    /** Handed to a worker. */
    case Ordered = 'ordered';
    case Copying = 'copying';
    case Copied = 'copied';
    case Reading = 'reading';
    case Verified = 'verified';
    case Failed = 'failed';

    public function isGoing(): bool
    {
        return in_array($this, [self::Ordered, self::Copying, self::Copied, self::Reading], true);
    }
}
