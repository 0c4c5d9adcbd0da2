<?php

declare(strict_types=1);

namespace App\Offload;

use App\Models\HouseRule;
use Tally\Offload\Question\Rules;

/** How long hands and files take in this house: what a plan reckons with where nothing else is asked. */
final readonly class PlanRules
{
    /** rule of the house → least and most that make sense, seconds */
    public const ALL = ['plan.swap' => [0, 600], 'plan.first' => [0, 600], 'plan.overhead' => [0, 2]];

    public static function now(): Rules
    {
        $kept = HouseRule::query()->whereIn('name', array_keys(self::ALL))->pluck('value', 'name');
        $standard = new Rules();
        $value = fn (string $name, float $default): float => is_numeric($kept[$name] ?? null) ? (float) $kept[$name] : $default;

        return new Rules(
            swap: $value('plan.swap', $standard->swap),
            first: $value('plan.first', $standard->first),
            overhead: $value('plan.overhead', $standard->overhead),
        );
    }

    /** @param  array<string, float>  $values  by name, seconds */
    public static function keep(array $values, string $by, string $why): void
    {
        $standard = new Rules();
        HouseRule::keep(
            array_map(strval(...), array_intersect_key($values, self::ALL)),
            [
                'plan.swap' => (string) $standard->swap,
                'plan.first' => (string) $standard->first,
                'plan.overhead' => (string) $standard->overhead,
            ],
            $by,
            $why,
        );
    }
}
