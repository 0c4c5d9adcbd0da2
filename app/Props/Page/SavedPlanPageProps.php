<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Follow\MountedProps;
use App\Props\Plan\ChangedRateProps;
use App\Props\Plan\OutcomeProps;
use App\Props\Plan\PlanPictureProps;
use App\Props\Plan\RangeProps;
use App\Props\Plan\RestsOnProps;
use App\Props\Plan\ShownPlanProps;

/** All that the page of a kept plan shows. Times are seconds from the start. */
final readonly class SavedPlanPageProps implements PageProps
{
    /**
     * @param  string  $made  when and by whom
     * @param  RangeProps  $range  of done, with the rates of its day
     * @param  float  $today  when it would be done with the rates that are known by now
     * @param  list<ChangedRateProps>  $changed  rates that are others by now
     * @param  list<RestsOnProps>  $rests
     * @param  string  $planKey  by which this very plan is begun
     * @param  bool  $isMadeUp  whether every card of it is
     * @param  list<MountedProps>  $places  where slots and drives were last
     * @param  list<string>  $patterns  by which folders were called lately
     * @param  ShownPlanProps|null  $before  itself, where something has changed since it was made and somebody has to choose
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
        public string $planKey,
        public string $person,
        public bool $isMadeUp,
        public string $day,
        public array $places,
        public array $patterns,
        public ?ShownPlanProps $before,
    ) {}
}
