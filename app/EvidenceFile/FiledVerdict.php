<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use Tally\Verdict\VerdictKind;

/** What the house that made a result file said of the card. */
final readonly class FiledVerdict
{
    public function __construct(public VerdictKind $kind) {}
}
