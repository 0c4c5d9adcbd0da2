<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Tally\Measured\Attribution;
use Tally\Measured\Chain;

/** A reader of the kit at the best port there is, for saying where a card could be judged. */
final readonly class Reach
{
    /** @param  string  $name  of reader, port and host */
    public function __construct(public string $name, public Chain $chain, public Attribution $blame) {}
}
