<?php

declare(strict_types=1);

namespace Tally\Measured;

/** The two ways of data between a host and a card. */
enum Way: string
{
    case Write = 'write';
    case Read = 'read';

    /** What the card or the bench does. */
    public function verb(): string
    {
        return $this === self::Write ? 'writes' : 'reads';
    }
}
