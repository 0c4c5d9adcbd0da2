<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Follow\MountedProps;
use App\Props\Follow\OffloadProps;
use App\Props\Plan\PlanPictureProps;
use App\Props\Plan\PlanRulesProps;
use App\Props\Plan\RestsOnProps;
use App\Props\Plan\SavedPlanProps;
use App\Props\Plan\ShownPlanProps;

/** All that the page Plan shows. */
final readonly class PlanPageProps implements PageProps
{
    /**
     * @param  list<string>  $ticked  cards that were asked for
     * @param  list<string>  $holds  what cards will hold by a shoot that is planned, such as `QS-014:64000000000`
     * @param  list<string>  $leftOut
     * @param  list<RestsOnProps>  $rests
     * @param  bool  $isTimed  whether an import with previews was timed on some host
     * @param  bool  $isLong  whether it was searched for longer
     * @param  list<SavedPlanProps>  $saved  the newest first
     * @param  bool  $isMadeUp  whether every card of it is
     * @param  string  $today  `2026-11-27`
     * @param  list<MountedProps>  $places  where slots and drives were last
     * @param  list<string>  $patterns  by which folders were called lately, the last one first
     * @param  list<string>  $warnings  what its drives got wrong before
     * @param  string  $planKey  by which this very plan is begun, kept and printed; empty where nothing is planned
     * @param  ShownPlanProps|null  $before  the one that was shown before, where something has changed since and somebody has to choose
     * @param  list<OffloadProps>  $offloads  that are carried out, or were; the newest first
     */
    public function __construct(
        public PlanPictureProps $plan,
        public array $ticked,
        public array $holds,
        public array $leftOut,
        public array $rests,
        public bool $isTimed,
        public bool $isLong,
        public array $saved,
        public PlanRulesProps $rules,
        public string $person,
        public bool $isMadeUp,
        public string $today,
        public array $places,
        public array $patterns,
        public array $warnings,
        public array $offloads,
        public string $planKey,
        public ?ShownPlanProps $before,
    ) {}
}
