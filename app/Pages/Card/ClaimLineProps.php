<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** The claim line: what the label says, what was measured, where the chain ends. */
final readonly class ClaimLineProps
{
    /**
     * @param  list<ClaimWayProps>  $ways
     * @param  float|null  $wall  the most that the chain gives in practice, MB/s
     * @param  float|null  $least  what it gives in practice at the least, MB/s; null where nobody knows
     * @param  string|null  $caption  which runs, over which region; null when nothing was measured
     */
    public function __construct(
        public array $ways,
        public ?float $wall,
        public ?float $least,
        public ?string $wallName,
        public ?string $caption,
    ) {}
}
