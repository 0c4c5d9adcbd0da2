<?php

declare(strict_types=1);

namespace Tally\Reading\Copy;

/** What "done" meant when the watch was stopped. */
enum Lap: string
{
    case Copied = 'copied';
    case Verified = 'verified';
    case Previews = 'previews';

    public function words(): string
    {
        return match ($this) {
            self::Copied => 'copied',
            self::Verified => 'copied and verified',
            self::Previews => 'previews built',
        };
    }
}
