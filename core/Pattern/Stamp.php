<?php

declare(strict_types=1);

namespace Tally\Pattern;

/** Which run wrote some bytes, and for which address. */
final readonly class Stamp
{
    public function __construct(public int $run, public int $address) {}
}
