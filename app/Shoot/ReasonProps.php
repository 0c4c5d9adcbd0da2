<?php

declare(strict_types=1);

namespace App\Shoot;

use Tally\Verdict\VerdictKind;

/** One line of the margin. */
final readonly class ReasonProps
{
    /**
     * @param  VerdictKind|null  $bearing  null for a note, which bears nothing
     * @param  string|null  $look  the part of the handbook where it is looked up; null where there is none
     */
    public function __construct(
        public ?VerdictKind $bearing,
        public string $lead,
        public string $rest,
        public string $evidence,
        public ?string $look = null,
    ) {}
}
