<?php

declare(strict_types=1);

namespace App\Models\Offload;

/** What is known of a copy since it was read back. */
enum CopyStanding: string
{
    case ReadBack = 'read back';
    case SeenAgain = 'seen again';
    /** Its drive was not there to be looked at. */
    case Away = 'away';
    /** Missing, or other bytes than were read back. */
    case Changed = 'changed';
    /** Its drive gave back something wrong, of this card or another. */
    case Doubted = 'doubted';

    /** Whether a card may be cleared because of it. */
    public function counts(): bool
    {
        return $this !== self::Changed && $this !== self::Doubted;
    }

    /** @param  string  $when  `27 Nov, 22:49` */
    public function words(string $when): string
    {
        return match ($this) {
            self::ReadBack => "read back on {$when}",
            self::SeenAgain => "seen there again on {$when}",
            self::Away => "not at hand on {$when}",
            self::Changed => "found changed on {$when}",
            self::Doubted => "in doubt since {$when}: its drive gave back something wrong",
        };
    }
}
