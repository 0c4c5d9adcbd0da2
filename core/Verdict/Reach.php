<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Quantity\Rate;

/** How fast a reader of the kit, at the best port there is, could show a card to be. */
final readonly class Reach
{
    /** @param  string  $name  of reader, port and host */
    public function __construct(public string $name, public Rate $usable) {}
}
