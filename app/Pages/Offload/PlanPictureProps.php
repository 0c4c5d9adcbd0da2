<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/**
 * What a plan looks like: its figures, its cards, and both of its pictures. Times are seconds from the start.
 *
 * @phpstan-import-type CabledProps from PlanPicture
 * @phpstan-import-type LoadProps from PlanPicture
 * @phpstan-import-type PlannedCardProps from PlanPicture
 * @phpstan-import-type FlowProps from PlanFlows
 * @phpstan-import-type LaneProps from PlanLanes
 */
final readonly class PlanPictureProps
{
    /**
     * @param  string  $amount  of footage in all
     * @param  bool  $readsBack  whether copies are verified
     * @param  float  $bound  no plan is done before
     * @param  list<PlannedCardProps>  $cards
     * @param  list<CabledProps>  $cabled
     * @param  list<LaneProps>  $lanes
     * @param  list<FlowProps>  $flows  cards to readers, readers to hosts, hosts to drives
     * @param  list<LoadProps>  $loads  the busiest first
     */
    public function __construct(
        public string $amount,
        public int $copies,
        public bool $readsBack,
        public float $done,
        public float $free,
        public int $hands,
        public float $bound,
        public array $cards,
        public array $cabled,
        public array $lanes,
        public array $flows,
        public array $loads,
    ) {}
}
