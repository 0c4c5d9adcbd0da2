<?php

declare(strict_types=1);

namespace Tally\Probe;

use InvalidArgumentException;

/** A speed run cannot go about it like that; the message says what was given and what would do. */
final class UnusablePlan extends InvalidArgumentException
{
    private function __construct(public readonly PlanPart $part, string $message)
    {
        parent::__construct($message);
    }

    public static function because(PlanPart $part, string $sentence): self
    {
        return new self($part, $sentence);
    }
}
