<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Reading\StudentT;
use Tally\Reading\Summary;

/**
 * Statistics against certified and tabled values.
 *
 * Sources: NIST Statistical Reference Datasets (StRD), univariate summary statistics, certified values of Michelso and
 * NumAcc1 to NumAcc4; NIST/SEMATECH e-Handbook 1.3.6.7.2, critical values of Student's t.
 */
final class StatisticsTest extends TestCase
{
    /** @return list<float> Michelso: speed of light in air, in thousands of km/s */
    private static function michelso(): array
    {
        $readings = '
            850 740 900 1070 930 850 950 980 980 880 1000 980 930 650 760 810 1000 1000 960 960
            960 940 960 940 880 800 850 880 900 840 830 790 810 880 880 830 800 790 760 800
            880 880 880 860 720 720 620 860 970 950 880 910 850 870 840 840 850 840 840 840
            890 810 810 820 800 770 760 740 750 760 910 920 890 860 880 720 840 850 850 780
            890 840 780 810 760 810 790 810 820 850 870 870 810 740 810 940 950 800 810 870';

        preg_match_all('/\d+/', $readings, $found);

        return array_map(fn (string $reading): float => 299 + (int) $reading / 1000, $found[0]);
    }

    /** @return list<float> 1001 values: the middle one, then 500 pairs of one tenth below and above */
    private static function alternating(float $base): array
    {
        $values = [$base + 0.2];
        for ($i = 0; $i < 500; $i++) {
            $values[] = $base + 0.1;
            $values[] = $base + 0.3;
        }

        return $values;
    }

    /** @return iterable<string, array{list<float>, float, float, float}> values, mean, standard deviation, digits that must agree */
    public static function certified(): iterable
    {
        yield 'Michelso' => [self::michelso(), 299.8524, 0.0790105478190518, 12];
        yield 'NumAcc1' => [[10_000_001.0, 10_000_003.0, 10_000_002.0], 10_000_002.0, 1.0, 14];
        yield 'NumAcc2' => [self::alternating(1), 1.2, 0.1, 13];
        yield 'NumAcc3' => [self::alternating(1_000_000), 1_000_000.2, 0.1, 9];
        // The data themselves are rounded when stored as doubles; no method gets more digits out of them.
        yield 'NumAcc4' => [self::alternating(10_000_000), 10_000_000.2, 0.1, 8];
    }

    /** @param  list<float>  $values */
    #[DataProvider('certified')]
    public function test_mean_and_deviation_agree_with_nist_strd(array $values, float $mean, float $deviation, float $digits): void
    {
        $summary = Summary::of($values);
        self::assertEqualsWithDelta($mean, $summary->mean, $mean * 1e-14);
        self::assertEqualsWithDelta($deviation, $summary->deviation, $deviation * 10 ** -$digits);
    }

    /** @return iterable<string, array{float, int, float}> p, degrees of freedom, critical value to three decimals */
    public static function tabled(): iterable
    {
        $table = [
            1 => [3.078, 6.314, 12.706, 31.821, 63.657],
            2 => [1.886, 2.92, 4.303, 6.965, 9.925],
            3 => [1.638, 2.353, 3.182, 4.541, 5.841],
            4 => [1.533, 2.132, 2.776, 3.747, 4.604],
            5 => [1.476, 2.015, 2.571, 3.365, 4.032],
            9 => [1.383, 1.833, 2.262, 2.821, 3.25],
            10 => [1.372, 1.812, 2.228, 2.764, 3.169],
            20 => [1.325, 1.725, 2.086, 2.528, 2.845],
            30 => [1.31, 1.697, 2.042, 2.457, 2.75],
            100 => [1.29, 1.66, 1.984, 2.364, 2.626],
        ];
        foreach ($table as $freedom => $row) {
            foreach ([0.9, 0.95, 0.975, 0.99, 0.995] as $i => $p) {
                yield "p = {$p}, {$freedom} degrees" => [$p, $freedom, $row[$i]];
            }
        }
    }

    #[DataProvider('tabled')]
    public function test_t_quantiles_agree_with_the_table(float $p, int $freedom, float $critical): void
    {
        self::assertEqualsWithDelta($critical, StudentT::quantile($p, $freedom), 0.000_51);
    }

    public function test_t_quantiles_agree_with_the_closed_forms(): void
    {
        // One degree of freedom is the Cauchy distribution; two have an algebraic inverse.
        foreach ([0.6, 0.75, 0.9, 0.975, 0.9995] as $p) {
            $cauchy = tan(M_PI * ($p - 0.5));
            self::assertEqualsWithDelta($cauchy, StudentT::quantile($p, 1), $cauchy * 1e-11);
            $two = (2 * $p - 1) * sqrt(2 / (4 * $p * (1 - $p)));
            self::assertEqualsWithDelta($two, StudentT::quantile($p, 2), $two * 1e-11);
        }
        self::assertEqualsWithDelta(0.0, StudentT::quantile(0.5, 7), 1e-12);
    }

    public function test_the_confidence_interval_is_built_as_the_handbook_says(): void
    {
        // NIST/SEMATECH e-Handbook 1.3.5.2: mean ± t(1 − α/2, N − 1) · s / √N.
        $summary = Summary::of([117.9, 118.4, 118.1, 119.6, 116.2]);
        self::assertEqualsWithDelta((2.776445105 * (float) $summary->deviation) / sqrt(5), $summary->margin(), 1e-8);
    }
}
