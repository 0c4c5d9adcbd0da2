<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Plan\ChangedRateProps;
use App\Props\Plan\OutcomeProps;
use App\Props\Plan\PlanPictureProps;
use App\Props\Plan\RangeProps;
use App\Props\Plan\RestsOnProps;

/** All that the page of a kept plan shows. Times are seconds from the start. */
final readonly class SavedPlanPageProps implements PageProps
{
    /**
     * @param  string  $made  when and by whom
     * @param  RangeProps  $range  of done, with the rates of its day
     * @param  float  $today  when it would be done with the rates that are known by now
     * @param  list<ChangedRateProps>  $changed  rates that are others by now
     * @param  list<RestsOnProps>  $rests
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $made,
        public string $goal,
        public PlanPictureProps $plan,
        public RangeProps $range,
        public float $today,
        public array $changed,
        public array $rests,
        public OutcomeProps $outcome,
    ) {}
}
