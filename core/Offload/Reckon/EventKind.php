<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** What can happen in a plan. */
enum EventKind: string
{
    case In = 'in';
    case Copied = 'copied';
    case ReadBack = 'read back';
    case Free = 'free';
    case Clear = 'clear';
}
