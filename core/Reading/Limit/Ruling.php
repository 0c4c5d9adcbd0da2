<?php

declare(strict_types=1);

namespace Tally\Reading\Limit;

use Tally\Reading\Summary;

/** What is made of one cell, and why. */
final readonly class Ruling
{
    public function __construct(public Cell $cell, public Summary $summary, public LimitedBy $by, public string $why) {}
}
