<?php

declare(strict_types=1);

namespace Tally\Offload\Basis;

/** What a rate that a plan rests on is the rate of. */
enum RateOf: string
{
    case Card = 'card';
    /** Of a card in a certain reader. */
    case CardIn = 'card-in';
    /** Of the buses and lanes of a reader. */
    case Slots = 'slots';
    case Uplink = 'uplink';
    case Port = 'port';
    case Controller = 'controller';
    case DriveWrite = 'drive-write';
    case DriveRead = 'drive-read';
    case DriveLink = 'drive-link';
    /** Files a second that a host imports with previews. */
    case Previews = 'previews';
}
