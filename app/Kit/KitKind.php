<?php

declare(strict_types=1);

namespace App\Kit;

/** The kinds of gear a house owns. */
enum KitKind: string
{
    case Readers = 'readers';
    case Cables = 'cables';
    case Hosts = 'hosts';
    case Drives = 'drives';
    case Cameras = 'cameras';

    public function book(): Book
    {
        return match ($this) {
            self::Readers => new ReaderBook(),
            self::Cables => new CableBook(),
            self::Hosts => new HostBook(),
            self::Drives => new DriveBook(),
            self::Cameras => new CameraBook(),
        };
    }
}
