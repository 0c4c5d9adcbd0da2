<?php

declare(strict_types=1);

namespace Tally\Offload\OneCard;

use Tally\Chain\Link;

/** A port of a host. */
final readonly class PortGear
{
    public function __construct(public string $host, public string $name, public Link $link) {}

    public function label(): string
    {
        return "{$this->host} {$this->name}";
    }
}
