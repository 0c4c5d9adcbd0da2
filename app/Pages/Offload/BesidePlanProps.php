<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** What is worked out beside a plan, once it is shown: how sure its times are, and plans of other kinds. */
final readonly class BesidePlanProps
{
    /**
     * @param  int  $draws  that the ranges are from
     * @param  list<OtherPlanProps>  $others  the shown one among them
     */
    public function __construct(public int $draws, public RangeProps $done, public RangeProps $free, public array $others) {}
}
