<?php

declare(strict_types=1);

namespace App\Models\Stations;

/** What stands behind a slot of a station. */
enum SlotKind: string
{
    /** A folder where a card is mounted. */
    case Folder = 'folder';
    /** The device itself, or an image of one, without its file system. */
    case Raw = 'raw';
    /** A made-up card that ships with the application. */
    case Simulated = 'stand-in';
}
