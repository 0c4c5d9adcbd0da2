<?php

declare(strict_types=1);

namespace Tally\Offload\OneCard;

use Tally\Chain\Link;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** A drive to copy to. */
final readonly class DriveGear
{
    /**
     * @param  Rate  $write  steady, after any cache
     * @param  string|null  $inside  the host it is built into; null when it is plugged into a port
     */
    public function __construct(
        public string $name,
        public Link $link,
        public Rate $write,
        public Rate $read,
        public Bytes $free,
        public ?string $inside = null,
    ) {}
}
