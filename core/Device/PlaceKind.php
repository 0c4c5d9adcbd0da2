<?php

declare(strict_types=1);

namespace Tally\Device;

/** What a folder lies on. */
enum PlaceKind: string
{
    /** A card or a drive: a device of its own. */
    case Medium = 'a medium of its own';
    /** The disk that the host itself, or this program, runs from. */
    case Host = 'this computer’s own disk';
    /** Gone when the computer is switched off. */
    case Memory = 'this computer’s memory';
    /** Another machine; which of its disks, nobody here can see. */
    case Network = 'another machine';
    /** A file system that does not say what is behind it. */
    case Unknown = 'a file system that does not say what is behind it';
}
