<?php

declare(strict_types=1);

namespace App\Shoot;

use App\Models\HouseRule;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\MayIt;

/** By which criterion the house decides what a card may record, and with how much to spare. */
final readonly class FitRules
{
    private const CRITERION = 'fit.school';

    private const MARGIN = 'fit.margin';

    private const USABLE = 'fit.usable';

    public const MOST_MARGIN = 3.0;

    public const LEAST_USABLE = 0.5;

    /**
     * @param  float  $margin  so many times its rate must the lowest window be
     * @param  float  $usable  share of a card that a recording may take
     */
    private function __construct(public FitCriterion $criterion, public float $margin, public float $usable) {}

    public static function now(): self
    {
        $kept = HouseRule::query()
            ->whereIn('name', [self::CRITERION, self::MARGIN, self::USABLE])
            ->pluck('value', 'name');
        $number = fn (string $name, float $default): float => is_numeric($kept[$name] ?? null) ? (float) $kept[$name] : $default;
        $criterion = $kept[self::CRITERION] ?? null;

        return new self(
            FitCriterion::tryFrom(is_string($criterion) ? $criterion : '') ?? FitCriterion::Measured,
            $number(self::MARGIN, MayIt::MARGIN),
            $number(self::USABLE, 1.0),
        );
    }

    public static function keep(FitCriterion $criterion, float $margin, float $usable, string $by, ?string $why = null): void
    {
        HouseRule::keep(
            [self::CRITERION => $criterion->value, self::MARGIN => (string) $margin, self::USABLE => (string) $usable],
            [self::CRITERION => FitCriterion::Measured->value, self::MARGIN => (string) MayIt::MARGIN, self::USABLE => '1'],
            $by,
            $why,
        );
    }
}
