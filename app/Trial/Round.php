<?php

declare(strict_types=1);

namespace App\Trial;

use Tally\Record\RunKind;

/** What came of one round of a trial. */
final readonly class Round
{
    /**
     * @param  string  $what  `proof`, `raw proof`, `copy` …
     * @param  string  $state  how the run ended
     * @param  list<string>  $faults  what must never be: something lost, something wrongly erased, an honest card convicted
     */
    public function __construct(
        public RunKind $kind,
        public string $what,
        public Fault $fault,
        public string $state,
        public array $faults,
    ) {}
}
