<?php

declare(strict_types=1);

namespace Tally\Simulated;

/** What a made-up medium does with what is written to it. */
enum Behaviour: string
{
    case Honest = 'honest';
    /** After its true size it starts over at the beginning. */
    case Wraps = 'wraps';
    /** It keeps the first part and drops the rest. */
    case Drops = 'drops';
    /** It gives back the first lap for every address, and takes nothing more once that is full. */
    case Keeps = 'keeps';
    /** It keeps the first part and spoils what comes after. */
    case Corrupts = 'corrupts';
    /** It keeps the first part and answers with errors after. */
    case Refuses = 'refuses';
    /** It has scattered bad patches. */
    case Patchy = 'patchy';

    /** Whether it is less than it shows. */
    public function isShort(): bool
    {
        return $this !== self::Honest && $this !== self::Patchy;
    }
}
