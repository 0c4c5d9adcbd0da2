<?php

declare(strict_types=1);

namespace Tally\Offload;

/** What keeps a card out of a plan. */
enum Missing: string
{
    case Slot = 'slot';
    case Port = 'port';
    case Drives = 'drives';
    case Room = 'room';
    case Footage = 'footage';
    case Struck = 'struck';
    case Retired = 'retired';
}
