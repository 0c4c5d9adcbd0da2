<?php

declare(strict_types=1);

namespace Tally\Device;

/** What a place holds; worded as a sentence takes it. */
enum IdentityKind: string
{
    case Device = 'a device';
    case Image = 'an image file';
    /** A file system of its own. */
    case Mount = 'a mounted medium';
    /** A folder on the disk of the host. */
    case Folder = 'a plain folder';
}
