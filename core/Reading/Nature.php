<?php

declare(strict_types=1);

namespace Tally\Reading;

/** Whether a medium that does not hold what it should lies about its size or is ill. */
enum Nature: string
{
    case Whole = 'whole';
    /** Its size is not what it says. */
    case Fake = 'fake';
    /** Its size is right, and parts of it are bad. */
    case Faulty = 'faulty';
    case Open = 'open';
}
