<?php

declare(strict_types=1);

namespace Tally\Reading\Course;

use Tally\Quantity\Temperature;

/**
 * Speed set against temperature along one long write: the line of least squares through the readings, and how well it fits.
 * That the two go together does not prove that heat was the cause.
 *
 * Source: NIST/SEMATECH e-Handbook of Statistical Methods, 4.1.4.1 (linear least squares), 1.3.3.26 (scatter plot, correlation).
 */
final readonly class Warmth
{
    private const FEWEST = 5;

    /** Less of a rise tells nothing, in °C. House rule. */
    private const RISE = 3.0;

    /**
     * @param  list<array{float, float}>  $pairs  °C and bytes a second there
     * @param  float|null  $perTenDegrees  share of the mean speed lost for each 10 °C; null where the readings are too few or too even
     * @param  float|null  $correlation  Pearson’s r of speed and temperature
     */
    private function __construct(
        public array $pairs,
        public Temperature $warmest,
        public ?float $perTenDegrees,
        public ?float $correlation,
    ) {}

    /**
     * @param  list<array{float, float}>  $readings  bytes from the start, °C
     * @param  Plateau|null  $within  where to look: a cliff between two plateaus has another cause than heat
     */
    public static function along(Course $course, array $readings, ?Plateau $within = null): ?self
    {
        if ($readings === []) {
            return null;
        }
        usort($readings, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $degrees = array_column($readings, 1);
        $warmest = Temperature::celsius(max($degrees));
        $pairs = [];
        [$stretch, $last] = [0, $course->count() - 1];
        foreach ($readings as [$at, $celsius]) {
            // In order: the stretch of the course in which it lies is the one of the reading before, or further on.
            while ($stretch < $last && $course->bytes[$stretch + 1] < $at) {
                $stretch++;
            }
            if ($at > ($within->from ?? 0) && $at <= ($within->to ?? $course->length())) {
                $pairs[] = [$celsius, $course->rate($stretch)];
            }
        }
        if (count($pairs) < self::FEWEST || max(array_column($pairs, 0)) - min(array_column($pairs, 0)) < self::RISE) {
            return new self($pairs, $warmest, null, null);
        }
        $count = count($pairs);
        [$meanX, $meanY] = [array_sum(array_column($pairs, 0)) / $count, array_sum(array_column($pairs, 1)) / $count];
        $xx = array_sum(array_map(fn (array $p): float => ($p[0] - $meanX) ** 2, $pairs));
        $yy = array_sum(array_map(fn (array $p): float => ($p[1] - $meanY) ** 2, $pairs));
        $xy = array_sum(array_map(fn (array $p): float => ($p[0] - $meanX) * ($p[1] - $meanY), $pairs));

        return new self($pairs, $warmest, (-10 * $xy) / $xx / $meanY, $yy > 0 ? $xy / sqrt($xx * $yy) : 0.0);
    }

    public function words(): string
    {
        $warm = "Warmest: {$this->warmest->both()}.";
        if ($this->perTenDegrees === null || $this->correlation === null) {
            return "{$warm} Too few readings along the run, or too even ones, to set its speed against them.";
        }

        return $this->perTenDegrees < 0.02 || $this->correlation > -0.5
            ? "{$warm} The speed does not fall as it gets warmer, along the longest plateau."
            : "{$warm} Along the longest plateau it loses ".
                    round(100 * $this->perTenDegrees).
                    ' % of its speed for each 10 °C (r = '.
                    number_format($this->correlation, 2).
                    ', '.
                    count($this->pairs).
                    ' readings); that the two go together does not prove the cause.';
    }
}
