<?php

declare(strict_types=1);

namespace Tally\Ledger;

use DateTimeImmutable;

/** A shoot that a card goes along on, and the day it begins. */
final readonly class Upcoming
{
    public function __construct(public string $name, public DateTimeImmutable $begins) {}
}
