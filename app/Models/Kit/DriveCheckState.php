<?php

declare(strict_types=1);

namespace App\Models\Kit;

/** Where the check of a drive stands. */
enum DriveCheckState: string
{
    case Waiting = 'waiting';
    case Going = 'going';
    /** Somebody wants it to end. */
    case Stopping = 'stopping';
    case Right = 'as listed';
    case Wrong = 'not as listed';
    /** It could not look, or was stopped. */
    case Failed = 'not looked at';

    public function isOver(): bool
    {
        return in_array($this, [self::Right, self::Wrong, self::Failed], true);
    }
}
