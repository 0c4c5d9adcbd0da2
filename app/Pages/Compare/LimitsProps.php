<?php

declare(strict_types=1);

namespace App\Pages\Compare;

/** Cards by readers: which link was the limit. */
final readonly class LimitsProps
{
    /**
     * @param  string  $way  write or read
     * @param  list<LimitEdgeProps>  $cards
     * @param  list<LimitEdgeProps>  $readers
     * @param  list<LimitCellProps>  $cells
     */
    public function __construct(
        public string $way,
        public array $cards,
        public array $readers,
        public array $cells,
        public ?NextRunProps $next,
        public int $leftOut,
    ) {}
}
