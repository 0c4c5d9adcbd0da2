<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use Tally\Offload\Basis\HowSure;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\OtherPlans;
use Tally\Offload\Plan;

/**
 * What is worked out beside a plan, once it is shown.
 *
 * @phpstan-type BesidePlanProps array{ // Once it is shown: how sure its times are, and other plans.
 *     draws: int, // that the ranges are from
 *     done: RangeProps,
 *     free: RangeProps,
 *     others: list<OtherPlanProps>, // the shown one among them
 * }
 * @phpstan-type OtherPlanProps array{ // The figures of a plan of another kind, and how it is asked for. Times are seconds.
 *     words: string, // how it differs
 *     goal: string, // safe, free or hands
 *     scheme: string, // any, straight, fan-out or relay
 *     done: float,
 *     free: float,
 *     hands: int,
 *     isShown: bool,
 * }
 */
final readonly class PlanBeside
{
    /** Seconds of search for each other plan. */
    private const EACH = 0.08;

    /**
     * @param  list<KnownRate>  $rates
     * @return BesidePlanProps
     */
    public static function of(Plan $plan, array $rates): array
    {
        $sure = HowSure::of($plan, $rates);

        return [
            'draws' => $sure->draws,
            'done' => self::range($sure->done),
            'free' => self::range($sure->free),
            'others' => array_map(
                fn (Plan $one): array => self::other($one, $one === $plan, $plan),
                $plan->decision->cards === [] ? [] : OtherPlans::of($plan, self::EACH),
            ),
        ];
    }

    /** @param  array{float, float, float}  $middle */
    public static function range(array $middle): RangeProps
    {
        return new RangeProps(...$middle);
    }

    /** @return OtherPlanProps */
    private static function other(Plan $one, bool $isShown, Plan $shown): array
    {
        $scheme = $one->question->rules->scheme;
        $isOfScheme = $scheme !== null && $shown->question->rules->scheme === null;

        return [
            'words' => $isOfScheme ? "{$scheme->value} for all" : $one->goal->words(),
            'goal' => $one->goal->value,
            'scheme' => $scheme->value ?? 'any',
            'done' => $one->course->done,
            'free' => $one->course->allFree(),
            'hands' => $one->course->hands,
            'isShown' => $isShown,
        ];
    }
}
