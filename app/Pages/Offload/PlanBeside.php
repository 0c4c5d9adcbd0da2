<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use Tally\Offload\Basis\HowSure;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\OtherPlans;
use Tally\Offload\Plan;

/** What is worked out beside a plan, once it is shown. */
final readonly class PlanBeside
{
    /** Seconds of search for each other plan. */
    private const EACH = 0.08;

    /** @param  list<KnownRate>  $rates */
    public static function of(Plan $plan, array $rates): BesidePlanProps
    {
        $sure = HowSure::of($plan, $rates);

        return new BesidePlanProps(
            $sure->draws,
            self::range($sure->done),
            self::range($sure->free),
            array_map(
                fn (Plan $one): OtherPlanProps => self::other($one, $one === $plan, $plan),
                $plan->decision->cards === [] ? [] : OtherPlans::of($plan, self::EACH),
            ),
        );
    }

    /** @param  array{float, float, float}  $middle */
    public static function range(array $middle): RangeProps
    {
        return new RangeProps(...$middle);
    }

    private static function other(Plan $one, bool $isShown, Plan $shown): OtherPlanProps
    {
        $scheme = $one->question->rules->scheme;
        $isOfScheme = $scheme !== null && $shown->question->rules->scheme === null;

        return new OtherPlanProps(
            $isOfScheme ? "{$scheme->value} for all" : $one->goal->words(),
            $one->goal->value,
            $scheme->value ?? 'any',
            $one->course->done,
            $one->course->allFree(),
            $one->course->hands,
            $isShown,
        );
    }
}
