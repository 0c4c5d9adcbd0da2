<?php

declare(strict_types=1);

namespace Tally\StandIn;

/** What a made-up medium does with what is written to it. */
enum Behaviour: string
{
    case Honest = 'honest';
    /** After its true size it starts over at the beginning. */
    case Wraps = 'wraps';
    /** It keeps the first part and drops the rest. */
    case Drops = 'drops';
    /** It has scattered bad patches. */
    case Patchy = 'patchy';
}
