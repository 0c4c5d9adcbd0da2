<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\HouseRule;
use Tally\Ledger\DueRules;

/** When cards are tested again, as the house has it. */
final readonly class LedgerRules
{
    /** name → default, least and most that make sense */
    public const ALL = [
        'ledger.prove_months' => [DueRules::PROVE_MONTHS, 1, 120],
        'ledger.measure_months' => [DueRules::MEASURE_MONTHS, 1, 120],
        'ledger.fills' => [DueRules::FILLS, 1, 10000],
        'ledger.after_incident' => [1, 0, 1],
        'ledger.shoot_days' => [DueRules::SHOOT_DAYS, 0, 90],
        'ledger.shoot_months' => [DueRules::SHOOT_MONTHS, 1, 60],
        'ledger.retire_years' => [0, 0, 50],
        'ledger.retire_fills' => [0, 0, 100000],
    ];

    public static function now(): DueRules
    {
        $kept = HouseRule::query()->whereIn('name', array_keys(self::ALL))->pluck('value', 'name');
        $value = fn (string $name): int => is_numeric($kept[$name] ?? null) ? (int) $kept[$name] : self::ALL[$name][0];

        return new DueRules(
            $value('ledger.prove_months'),
            $value('ledger.measure_months'),
            $value('ledger.fills'),
            $value('ledger.after_incident') === 1,
            shootDays: $value('ledger.shoot_days'),
            shootMonths: $value('ledger.shoot_months'),
            retireYears: $value('ledger.retire_years'),
            retireFills: $value('ledger.retire_fills'),
        );
    }

    /** @param  array<string, int>  $values  by name; all cards are reckoned anew where one is another than before */
    public static function keep(array $values, string $by, ?string $why = null): void
    {
        $changed = HouseRule::keep(
            array_map(strval(...), array_intersect_key($values, self::ALL)),
            array_map(fn (array $rule): string => (string) $rule[0], self::ALL),
            $by,
            $why,
        );
        if ($changed) {
            DueBook::refreshAll();
        }
    }
}
