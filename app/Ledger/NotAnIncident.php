<?php

declare(strict_types=1);

namespace App\Ledger;

use InvalidArgumentException;
use Tally\Ledger\IncidentKind;

/** A line that says nothing that can be kept; the message says what it lacks. */
final class NotAnIncident extends InvalidArgumentException
{
    public static function withoutCard(string $line): self
    {
        return new self("“{$line}” names no card of the house. Begin with its tag, such as: QS-014 stuck in R3.");
    }

    public static function withoutKind(string $line): self
    {
        $kinds = implode(', ', array_map(fn (IncidentKind $kind): string => $kind->label(), IncidentKind::cases()));

        return new self("“{$line}” does not say what happened. One of these words would do: {$kinds}.");
    }
}
