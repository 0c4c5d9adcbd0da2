<?php

declare(strict_types=1);

namespace App\Pages\House;

/** Rules of judgement that are tried, and what they would change. */
final readonly class RuleDraftProps
{
    /** @param  list<RuleChangeProps>  $changes */
    public function __construct(
        public int $id,
        public string $words,
        public string $why,
        public int $cards,
        public int $looked,
        public bool $isDone,
        public array $changes,
    ) {}
}
