<?php

declare(strict_types=1);

namespace Tally\Reading;

use InvalidArgumentException;

/**
 * Student's t distribution.
 *
 * Sources: NIST Digital Library of Mathematical Functions §§ 8.17 (incomplete beta, continued fraction 8.17.22) and 5.11
 * (gamma function); Lanczos' approximation (g = 7, nine terms) for ln Γ.
 */
final readonly class StudentT
{
    private const LANCZOS = [
        0.99999999999980993,
        676.5203681218851,
        -1259.1392167224028,
        771.32342877765313,
        -176.61502916214059,
        12.507343278686905,
        -0.13857109526572012,
        9.9843695780195716e-6,
        1.5056327351493116e-7,
    ];

    /**
     * @param  float  $p  0.5 to below 1
     * @param  float  $freedom  degrees of freedom, above 0
     * @return float the value that a share p of the distribution lies below
     */
    public static function quantile(float $p, float $freedom): float
    {
        if ($p < 0.5 || $p >= 1 || $freedom <= 0) {
            throw new InvalidArgumentException(
                "A t quantile needs 0.5 ≤ p < 1 and degrees of freedom above 0; {$p} and {$freedom} were given.",
            );
        }
        $low = 0.0;
        $high = 1.0;
        while (self::below($high, $freedom) < $p) {
            $high *= 2;
        }
        // Halving to the last bit: some sixty steps, and nothing that can diverge.
        while (true) {
            $middle = ($low + $high) / 2;
            if ($middle <= $low || $middle >= $high) {
                return $middle;
            }
            if (self::below($middle, $freedom) < $p) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }
    }

    /** @return float the share of the distribution below t ≥ 0 */
    private static function below(float $t, float $freedom): float
    {
        return 1 - self::beta($freedom / ($freedom + $t * $t), $freedom / 2, 0.5) / 2;
    }

    /** The regularised incomplete beta function I_x(a, b). */
    private static function beta(float $x, float $a, float $b): float
    {
        if ($x <= 0 || $x >= 1) {
            return $x <= 0 ? 0.0 : 1.0;
        }
        // The fraction converges fast below the mean; above it, use the symmetry I_x(a, b) = 1 − I_{1−x}(b, a).
        if ($x > ($a + 1) / ($a + $b + 2)) {
            return 1 - self::beta(1 - $x, $b, $a);
        }
        $front = exp($a * log($x) + $b * log(1 - $x) + self::logGamma($a + $b) - self::logGamma($a) - self::logGamma($b)) / $a;

        return $front * self::fraction($x, $a, $b);
    }

    /** Continued fraction by Lentz' method. */
    private static function fraction(float $x, float $a, float $b): float
    {
        $c = 1.0;
        $d = 1 / (1 - (($a + $b) * $x) / ($a + 1));
        $value = $d;
        for ($m = 1; $m < 500; $m++) {
            $even = ($m * ($b - $m) * $x) / (($a + 2 * $m - 1) * ($a + 2 * $m));
            $odd = (-($a + $m) * ($a + $b + $m) * $x) / (($a + 2 * $m) * ($a + 2 * $m + 1));
            $before = $value;
            foreach ([$even, $odd] as $term) {
                $d = 1 / (1 + $term * $d);
                $c = 1 + $term / $c;
                $value *= $c * $d;
            }
            if ($value === $before) {
                break;
            }
        }

        return $value;
    }

    private static function logGamma(float $x): float
    {
        if ($x < 0.5) {
            return log(M_PI / sin(M_PI * $x)) - self::logGamma(1 - $x);
        }
        $x--;
        $sum = self::LANCZOS[0];
        for ($i = 1; $i < 9; $i++) {
            $sum += self::LANCZOS[$i] / ($x + $i);
        }
        $t = $x + 7.5;

        return 0.5 * log(2 * M_PI) + ($x + 0.5) * log($t) - $t + log($sum);
    }
}
