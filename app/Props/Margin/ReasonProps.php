<?php

declare(strict_types=1);

namespace App\Props\Margin;

use Tally\Verdict\VerdictKind;

/** One line of the margin. */
final readonly class ReasonProps
{
    /** @param  VerdictKind|null  $bearing  null for a note, which bears nothing */
    public function __construct(public ?VerdictKind $bearing, public string $lead, public string $rest, public string $evidence) {}
}
