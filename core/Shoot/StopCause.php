<?php

declare(strict_types=1);

namespace Tally\Shoot;

/** What stopped a recording. Handbook § 7: heat, battery and time limits are not the card's failure. */
enum StopCause: string
{
    case Card = 'card';
    case Heat = 'heat';
    case Battery = 'battery';
    case TimeLimit = 'time-limit';
    case Full = 'full';

    public function label(): string
    {
        return match ($this) {
            self::Card => 'the card: too slow, or an error',
            self::Heat => 'heat',
            self::Battery => 'battery',
            self::TimeLimit => 'the camera’s time limit',
            self::Full => 'the card was full',
        };
    }

    /** Whether it is held against the card. */
    public function isTheCards(): bool
    {
        return $this === self::Card;
    }
}
