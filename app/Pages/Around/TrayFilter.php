<?php

declare(strict_types=1);

namespace App\Pages\Around;

/** Which cards the tray shows. */
enum TrayFilter: string
{
    case All = 'all';
    case Unproven = 'unproven';
    case Due = 'due';
}
