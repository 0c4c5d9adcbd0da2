<?php

declare(strict_types=1);

namespace App\Pages\Compare;

/** One card in one reader. Speed in MB/s. */
final readonly class LimitCellProps
{
    /** @param  string  $by  card, reader or undecided */
    public function __construct(
        public string $card,
        public string $reader,
        public float $rate,
        public int $runs,
        public string $by,
        public string $why,
    ) {}
}
