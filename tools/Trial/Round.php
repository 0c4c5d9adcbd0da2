<?php

declare(strict_types=1);

namespace Tools\Trial;

/** What came of one round of a trial. */
final readonly class Round
{
    /**
     * @param  string  $what  `proof`, `raw proof`, `copy`, `offload, relay` …
     * @param  string  $fault  what went wrong
     * @param  string  $state  how it ended
     * @param  list<string>  $faults  what must never be: something lost, wrongly erased or secured, an honest card convicted
     */
    public function __construct(public string $what, public string $fault, public string $state, public array $faults) {}
}
