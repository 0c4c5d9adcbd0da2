<?php

declare(strict_types=1);

namespace App\Shoot;

use App\Models\HouseRule;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\MayIt;

/** By which school the house decides what a card may record, and with how much to spare. */
final readonly class FitRules
{
    private const SCHOOL = 'fit.school';

    private const MARGIN = 'fit.margin';

    private const USABLE = 'fit.usable';

    public const MOST_MARGIN = 3.0;

    public const LEAST_USABLE = 0.5;

    /**
     * @param  float  $margin  so many times its rate must the lowest window be
     * @param  float  $usable  share of a card that a recording may take
     */
    private function __construct(public FitCriterion $school, public float $margin, public float $usable) {}

    public static function now(): self
    {
        $kept = HouseRule::query()
            ->whereIn('name', [self::SCHOOL, self::MARGIN, self::USABLE])
            ->pluck('value', 'name');
        $number = fn (string $name, float $default): float => is_numeric($kept[$name] ?? null) ? (float) $kept[$name] : $default;
        $school = $kept[self::SCHOOL] ?? null;

        return new self(
            FitCriterion::tryFrom(is_string($school) ? $school : '') ?? FitCriterion::Measured,
            $number(self::MARGIN, MayIt::MARGIN),
            $number(self::USABLE, 1.0),
        );
    }

    public static function keep(FitCriterion $school, float $margin, float $usable, string $by, ?string $why = null): void
    {
        HouseRule::keep(
            [self::SCHOOL => $school->value, self::MARGIN => (string) $margin, self::USABLE => (string) $usable],
            [self::SCHOOL => FitCriterion::Measured->value, self::MARGIN => (string) MayIt::MARGIN, self::USABLE => '1'],
            $by,
            $why,
        );
    }
}
