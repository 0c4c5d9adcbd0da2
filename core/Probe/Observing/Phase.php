<?php

declare(strict_types=1);

namespace Tally\Probe\Observing;

/** What a run is doing just now. */
enum Phase: string
{
    case Writing = 'writing';
    case Settling = 'settling';
    case Reading = 'reading';
    case Cooling = 'cooling';
}
