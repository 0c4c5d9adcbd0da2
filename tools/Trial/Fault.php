<?php

declare(strict_types=1);

namespace Tools\Trial;

/** What goes wrong in a trial, at a random moment. */
enum Fault: string
{
    case None = 'nothing';
    case Killed = 'worker killed';
    case Unmounted = 'card unmounted';
    case Filled = 'disk filled up';
    case ReadOnly = 'turned read-only';
    case Repointed = 'link repointed';
    case DatabaseAway = 'database away';
    case ReadErrors = 'medium gives errors';
    case StationDiskFull = 'disk of the station full';
    case SameName = 'second folder, same name';
}
