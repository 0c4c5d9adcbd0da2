<?php

declare(strict_types=1);

namespace Tally\Reading\Course;

use Tally\Reading\StudentT;

/**
 * A steady decline within a plateau, as heat brings it: the slope of the speed over time by least squares, with its 95 %
 * confidence interval.
 *
 * Source: NIST/SEMATECH e-Handbook of Statistical Methods, 4.1.4.1 (linear least squares).
 */
final readonly class Fade
{
    /**
     * @param  float  $lost  share of the speed lost from the beginning of the plateau to its end
     * @param  float  $margin  half the 95 % confidence interval of that share
     */
    private function __construct(public float $lost, public float $margin, public Plateau $plateau) {}

    /** @return self|null null when the plateau is too short, or its speed does not clearly fall by a tenth or more */
    public static function in(Course $course, Plateau $plateau): ?self
    {
        $points = [];
        for ($i = 0; $i < $course->count(); $i++) {
            if ($course->bytes[$i] >= $plateau->from && $course->bytes[$i + 1] <= $plateau->to) {
                $points[] = [($course->times[$i] + $course->times[$i + 1]) / 2, $course->rate($i)];
            }
        }
        $count = count($points);
        if ($count < 8) {
            return null;
        }
        $meanTime = array_sum(array_column($points, 0)) / $count;
        $meanRate = array_sum(array_column($points, 1)) / $count;
        $spread = array_sum(array_map(fn (array $p): float => ($p[0] - $meanTime) ** 2, $points));
        $slope = array_sum(array_map(fn (array $p): float => ($p[0] - $meanTime) * ($p[1] - $meanRate), $points)) / $spread;
        $residual = array_sum(array_map(fn (array $p): float => ($p[1] - $meanRate - $slope * ($p[0] - $meanTime)) ** 2, $points));
        $seconds = $course->when($plateau->to) - $course->when($plateau->from);
        $start = $meanRate + $slope * ($course->when($plateau->from) - $meanTime);
        if ($start <= 0) {
            return null;
        }
        $lost = (-$slope * $seconds) / $start;
        $margin = (StudentT::quantile(0.975, $count - 2) * sqrt($residual / ($count - 2) / $spread) * $seconds) / $start;

        return $lost - $margin >= 0.05 && $lost >= 0.1 ? new self($lost, $margin, $plateau) : null;
    }
}
