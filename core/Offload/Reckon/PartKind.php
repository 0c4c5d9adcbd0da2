<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/** What a resource of a network is. */
enum PartKind
{
    case Card;
    case Drive;
    case Lane;
    case Uplink;
    case Port;
    case Controller;
    case Hash;
    case Previews;
}
