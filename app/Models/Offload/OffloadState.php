<?php

declare(strict_types=1);

namespace App\Models\Offload;

/** Where an offload stands. */
enum OffloadState: string
{
    case Going = 'going';
    /** What goes is finished, nothing new is begun. */
    case Ending = 'ending';
    case Ended = 'ended';
}
