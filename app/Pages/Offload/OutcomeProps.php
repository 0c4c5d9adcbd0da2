<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** What came of a plan. */
final readonly class OutcomeProps
{
    /**
     * @param  string  $begun  as `2026-11-27 21:58`; empty while nobody has said
     * @param  string  $free  the same
     * @param  string  $done  the same
     * @param  float|null  $took  seconds until all was safe
     * @param  string|null  $words  how that stands to the plan, in a sentence
     */
    public function __construct(
        public string $begun,
        public string $free,
        public string $done,
        public string $note,
        public ?float $took,
        public ?string $words,
    ) {}
}
