<?php

declare(strict_types=1);

namespace Tests\Reference;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Reading\Proportion;
use Tally\Reading\Trend;

/**
 * Trends and proportions against a general-purpose reference library: scipy 1.10.1, `stats.theilslopes(y, x, 0.95)` and
 * `stats.binomtest(k, n).proportion_ci(0.95, 'wilson')`, run on 27 Nov 2026. The proportions 81/263, 15/148, 0/20 and 1/29 are those
 * of Newcombe, Statistics in Medicine 17 (1998), 857–872, table I (from memory), to the four digits printed there.
 */
final class TrendTest extends TestCase
{
    /** @return iterable<string, array{list<float>, list<float>, float, float, float, float, bool}> as scipy has them */
    public static function trends(): iterable
    {
        $days = [0.0, 40.0, 95.0, 150.0, 210.0, 260.0, 330.0];
        yield 'a card that fades' => [
            $days, [84.1, 83.0, 81.2, 79.9, 77.0, 75.4, 71.9],
            -0.035151515151515135, 85.17272727272727, -0.042499999999999954, -0.02818181818181813, true,
        ];
        yield 'a card that does not' => [
            $days, [84.1, 83.9, 84.4, 83.2, 84.6, 83.8, 84.0],
            -0.0003030303030302858, 84.04545454545455, -0.005999999999999943, 0.004444444444444429, false,
        ];
        yield 'ten that rise' => [
            range(1.0, 10.0), [10.0, 12.0, 11.0, 15.0, 14.0, 13.0, 18.0, 17.0, 19.0, 20.0],
            1.0, 9.0, 0.6666666666666666, 1.5, true,
        ];
        yield 'five, the fewest' => [
            range(0.0, 4.0), [9.0, 8.2, 8.1, 7.0, 6.6],
            -0.5999999999999999, 9.299999999999999, -1.0999999999999996, -0.09999999999999964, true,
        ];
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y
     */
    #[DataProvider('trends')]
    public function test_slope_and_interval_are_those_of_scipy(
        array $x,
        array $y,
        float $slope,
        float $intercept,
        float $low,
        float $high,
        bool $isTold,
    ): void {
        $trend = Trend::of(array_map(fn (float $x, float $y): array => [$x, $y], $x, $y));
        self::assertNotNull($trend);
        self::assertEqualsWithDelta([$slope, $low, $high], [$trend->slope, $trend->low, $trend->high], 1e-12);
        self::assertEqualsWithDelta($intercept, $trend->at(0.0), 1e-9);
        self::assertSame($isTold, $trend->isTold());
    }

    public function test_four_figures_or_one_day_tell_nothing(): void
    {
        self::assertNull(Trend::of([[0.0, 9.0], [1.0, 8.0], [2.0, 7.0], [3.0, 6.0]]));
        self::assertNull(Trend::of(array_fill(0, 6, [3.0, 7.0])));
        self::assertNull(Trend::of([]));
    }

    public function test_one_odd_figure_does_not_move_it(): void
    {
        $points = array_map(fn (int $i): array => [(float) $i, 100.0 - $i], range(0, 10));
        $points[5] = [5.0, 400.0];
        self::assertEqualsWithDelta(-1.0, Trend::of($points)?->slope, 1e-12);
    }

    public function test_when_it_meets_a_level(): void
    {
        $noise = [0.0, 2.5, -1.3, 0.7, -2.1, 1.9, 0.2, -0.8, 2.2, -1.7, 0.4, 1.1];
        $points = array_map(fn (int $i): array => [(float) $i, 100.0 - 2 * $i + $noise[$i]], range(0, 11));
        $trend = Trend::of($points);
        self::assertNotNull($trend);
        $meets = $trend->meets(60.0);
        self::assertNotNull($meets);
        [$at, $earliest, $latest] = $meets;
        self::assertEqualsWithDelta(60.0, $trend->at($at), 1e-9);
        self::assertTrue($earliest < $at && $at < $latest);
        self::assertNull($trend->meets(200.0));
        self::assertNull(Trend::of(array_map(fn (int $i): array => [(float) $i, (float) ($i % 2)], range(0, 9)))?->meets(-5.0));
    }

    /** @return iterable<string, array{int, int, float, float}> count, of, low, high */
    public static function proportions(): iterable
    {
        yield '81 of 263' => [81, 263, 0.2552885198782742, 0.36620957698280004];
        yield '15 of 148' => [15, 148, 0.06238639953073629, 0.16048724172330803];
        yield 'none of 20' => [0, 20, 0.0, 0.16112515805281935];
        yield '1 of 29' => [1, 29, 0.006113214292762667, 0.17175521879320282];
        yield '1 of 1' => [1, 1, 0.20654931437723745, 1.0];
        yield '3 of 5' => [3, 5, 0.23072428127601297, 0.8823792257673521];
    }

    #[DataProvider('proportions')]
    public function test_a_proportion_has_the_interval_of_scipy_and_newcombe(int $count, int $of, float $low, float $high): void
    {
        $one = new Proportion($count, $of);
        self::assertEqualsWithDelta([$low, $high], [$one->low, $one->high], 1e-12);
    }

    public function test_what_is_no_proportion_is_refused(): void
    {
        self::assertSame('3 of 5, 23 to 88 %', (new Proportion(3, 5))->words());
        $this->expectException(InvalidArgumentException::class);
        new Proportion(6, 5);
    }
}
