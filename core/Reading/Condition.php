<?php

declare(strict_types=1);

namespace Tally\Reading;

/** What a proof says of a medium as a whole. */
enum Condition: string
{
    /** Everything that was covered holds. */
    case Whole = 'whole';
    /** It starts over at the beginning after its true size. */
    case Wraps = 'wraps';
    /** It keeps the first part and nothing after. */
    case Drops = 'drops';
    /** Parts of it are bad, here and there. */
    case Faulty = 'faulty';
    /** Nothing was read back. */
    case Unknown = 'unknown';
}
