<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Label\ChoiceProps;
use App\Props\Plan\CabledProps;
use App\Props\Plan\FlowProps;
use App\Props\Plan\LaneProps;
use App\Props\Plan\LoadProps;
use App\Props\Plan\OtherPlanProps;
use App\Props\Plan\PlannedCardProps;
use App\Props\Plan\PlanRulesProps;

/** All that the page Plan shows. Times are seconds from the start. */
final readonly class PlanPageProps implements PageProps
{
    /**
     * @param  string  $amount  of footage in all
     * @param  float  $bound  no plan is done before
     * @param  list<PlannedCardProps>  $cards
     * @param  list<CabledProps>  $cabled
     * @param  list<LaneProps>  $lanes
     * @param  list<FlowProps>  $flows  cards to readers, readers to hosts, hosts to drives
     * @param  list<LoadProps>  $loads  the busiest first
     * @param  list<OtherPlanProps>  $others  a plan for each goal
     * @param  list<string>  $leftOut
     * @param  list<string>  $assumed
     * @param  list<ChoiceProps>  $choices  cards that carry footage
     */
    public function __construct(
        public string $amount,
        public float $done,
        public float $free,
        public int $hands,
        public float $bound,
        public array $cards,
        public array $cabled,
        public array $lanes,
        public array $flows,
        public array $loads,
        public array $others,
        public array $leftOut,
        public array $assumed,
        public array $choices,
        public PlanRulesProps $rules,
    ) {}
}
