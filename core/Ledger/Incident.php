<?php

declare(strict_types=1);

namespace Tally\Ledger;

use DateTimeImmutable;

/** Something that happened to a card, and when. */
final readonly class Incident
{
    public function __construct(public IncidentKind $kind, public DateTimeImmutable $at) {}
}
