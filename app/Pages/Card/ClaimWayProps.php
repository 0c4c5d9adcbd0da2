<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** One row of the claim line. Speeds in MB/s. */
final readonly class ClaimWayProps
{
    /**
     * @param  list<float>  $runs
     * @param  string|null  $struck  why the runs are not trusted
     * @param  string|null  $untold  why a shortfall cannot be told here, whether it is the card’s or its chain’s
     * @param  int|null  $leftOut  which run is left out, from 0
     */
    public function __construct(
        public string $way,
        public array $runs,
        public ?float $median,
        public ?float $claim,
        public ?float $floor,
        public ?string $floorMark,
        public ?string $struck,
        public ?string $untold,
        public ?int $leftOut,
    ) {}
}
