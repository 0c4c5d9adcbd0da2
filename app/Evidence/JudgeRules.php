<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\HouseRule;
use Tally\Reading\Thresholds;

/** Where one judgement ends and the next begins, as the house has it. */
final readonly class JudgeRules
{
    /** rule of the house → field of the thresholds, the standard one */
    public const ALL = [
        'judge.full' => ['full', Thresholds::FULL],
        'judge.near' => ['near', Thresholds::NEAR],
        'judge.short' => ['short', Thresholds::SHORT],
        'judge.above' => ['above', Thresholds::ABOVE],
    ];

    /** The same for a whole request: every card of a page is judged by it. */
    public static function now(): Thresholds
    {
        return app(Thresholds::class);
    }

    /** As they stand in the books. */
    public static function kept(): Thresholds
    {
        $kept = HouseRule::query()->whereIn('name', array_keys(self::ALL))->pluck('value', 'name');
        $shares = [];
        foreach (self::ALL as $name => [$field, $standard]) {
            $shares[$field] = is_numeric($kept[$name] ?? null) ? (float) $kept[$name] : $standard;
        }

        return new Thresholds(...$shares);
    }

    public static function keep(Thresholds $by, string $who, string $why): void
    {
        $values = $standards = [];
        foreach (self::ALL as $name => [$field, $standard]) {
            $values[$name] = (string) $by->{$field};
            $standards[$name] = (string) $standard;
        }
        HouseRule::keep($values, $standards, $who, $why);
        app()->forgetInstance(Thresholds::class);
    }
}
