<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Chain\HostLink;
use Tally\Label\Bus;

/** A reader: the buses its slots speak and the link to the host. */
final readonly class ReaderGear
{
    /** @param  list<Bus>  $buses */
    public function __construct(public string $name, public array $buses, public HostLink $uplink) {}
}
