<?php

declare(strict_types=1);

namespace App\Models;

/** What stands behind a slot of a station. */
enum SlotKind: string
{
    /** A folder where a card is mounted. */
    case Folder = 'folder';
    /** A made-up card that ships with the application. */
    case StandIn = 'stand-in';
}
