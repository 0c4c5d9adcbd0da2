<?php

declare(strict_types=1);

namespace App\Kit;

/** The kinds of gear a house owns. */
enum KitKind: string
{
    case Readers = 'readers';
    case Cables = 'cables';
    case Hosts = 'hosts';
    case Hubs = 'hubs';
    case Adapters = 'adapters';
    case Drives = 'drives';
    case Cameras = 'cameras';
    case Modes = 'modes';

    public function section(): KitSection
    {
        return match ($this) {
            self::Readers => new Readers(),
            self::Cables => new Cables(),
            self::Hosts => new Hosts(),
            self::Hubs => new Hubs(),
            self::Adapters => new Adapters(),
            self::Drives => new Drives(),
            self::Cameras => new Cameras(),
            self::Modes => new Modes(),
        };
    }
}
