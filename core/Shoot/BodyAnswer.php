<?php

declare(strict_types=1);

namespace Tally\Shoot;

/** What a body said when a card was put into it. It is true of that firmware, and may be another with the next. */
enum BodyAnswer: string
{
    case Took = 'took';
    case Warned = 'warned';
    case Refused = 'refused';

    public function label(): string
    {
        return match ($this) {
            self::Took => 'went in and ran',
            self::Warned => 'ran with a warning',
            self::Refused => 'was refused',
        };
    }
}
