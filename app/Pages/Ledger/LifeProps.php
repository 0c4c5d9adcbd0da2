<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** Everything that happened to a card on one line of time, with its figures on one chain above it. */
final readonly class LifeProps
{
    /**
     * @param  string  $begins  `2026-01-03`
     * @param  float  $days  until today
     * @param  string  $chain  on which the figures were measured
     * @param  list<LifePointProps>  $writes  kept up over a long write
     * @param  list<LifePointProps>  $reads
     * @param  list<LifeFloorProps>  $floors
     * @param  list<LifeEventProps>  $events  the earliest first
     */
    public function __construct(
        public string $begins,
        public float $days,
        public string $chain,
        public array $writes,
        public array $reads,
        public array $floors,
        public ?LifeTrendProps $trend,
        public array $events,
    ) {}
}
