<?php

declare(strict_types=1);

namespace Tally\Offload\OneCard;

use Tally\Chain\Link;
use Tally\Label\Bus;

/** A reader: the buses its slots speak and the link to the host. */
final readonly class ReaderGear
{
    /**
     * @param  list<Bus>  $buses  of all its slots
     * @param  Link  $uplink  to the host, its cable included
     */
    public function __construct(public string $name, public array $buses, public Link $uplink) {}
}
