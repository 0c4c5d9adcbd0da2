<?php

declare(strict_types=1);

namespace Tally\Practice;

/** What holds a figure: the slowest part between the memory and the computer. */
enum Holds: string
{
    case Card = 'card';
    case Slot = 'slot';
    case Link = 'link';

    public function words(): string
    {
        return match ($this) {
            self::Card => 'the card',
            self::Slot => 'the slot of the reader',
            self::Link => 'the link to the computer',
        };
    }
}
