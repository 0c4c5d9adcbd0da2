<?php

declare(strict_types=1);

namespace Tally\Reading\Limit;

/** Which of the two held a reading back. */
enum LimitedBy: string
{
    case Card = 'card';
    case Reader = 'reader';
    case Undecided = 'undecided';
}
