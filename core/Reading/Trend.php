<?php

declare(strict_types=1);

namespace Tally\Reading;

/**
 * Whether figures go up or down over time: the median of the slopes between all pairs, which one odd figure does not move, with a
 * 95 % interval from the ranks of those slopes.
 *
 * Sources: Theil 1950; Sen, Journal of the American Statistical Association 63 (1968), 1379–1389, with his correction for ties.
 */
final readonly class Trend
{
    /** Under so many figures an interval of 95 % cannot leave out nothing: Kendall’s S of four has a p of 0.083 at the least. */
    public const LEAST = 5;

    /** Normal distribution, two sides, 95 %. */
    private const Z = 1.959963984540054;

    /**
     * @param  float  $slope  a unit of x
     * @param  float  $low  of the interval of the slope
     * @param  float  $middle  median of x
     * @param  float  $level  median of y: the line goes through both
     */
    private function __construct(
        public float $slope,
        public float $low,
        public float $high,
        public float $middle,
        public float $level,
        public int $count,
    ) {}

    /**
     * @param  list<array{float, float}>  $points  x and y
     * @return self|null null of fewer than LEAST, or where all have one x
     */
    public static function of(array $points): ?self
    {
        $slopes = [];
        foreach ($points as $i => [$x, $y]) {
            foreach (array_slice($points, $i + 1) as [$later, $value]) {
                if ($later !== $x) {
                    $slopes[] = ($value - $y) / ($later - $x);
                }
            }
        }
        if (count($points) < self::LEAST || $slopes === []) {
            return null;
        }
        sort($slopes);
        $pairs = count($slopes);
        $half = self::Z * sqrt(self::variance($points));
        $low = max((int) round(($pairs - $half) / 2) - 1, 0);
        $high = min((int) round(($pairs + $half) / 2), $pairs - 1);

        return new self(
            Summary::of($slopes)->median,
            $slopes[$low],
            $slopes[$high],
            Summary::of(array_column($points, 0))->median,
            level: Summary::of(array_column($points, 1))->median,
            count: count($points),
        );
    }

    /** Whether it is more than noise: the interval has no nothing in it. */
    public function isTold(): bool
    {
        return $this->low > 0 || $this->high < 0;
    }

    public function at(float $x): float
    {
        return $this->level + $this->slope * ($x - $this->middle);
    }

    /**
     * Where it meets a level, by the slope and by both ends of its interval.
     *
     * @return array{float, float, float}|null x: by the slope, at the earliest, at the latest (INF where it never may); null where it
     *                                         does not go there
     */
    public function meets(float $level): ?array
    {
        $goes = $level - $this->level;
        if (! $this->isTold() || $goes * $this->slope <= 0) {
            return null;
        }
        $at = fn (float $slope): float => $slope * $goes <= 0 ? INF : $this->middle + $goes / $slope;
        [$one, $other] = [$at($this->low), $at($this->high)];

        return [$at($this->slope), min($one, $other), max($one, $other)];
    }

    /**
     * Of Kendall’s S, where some figures are the same.
     *
     * @param  list<array{float, float}>  $points
     */
    private static function variance(array $points): float
    {
        $of = fn (int $n): float => $n * ($n - 1) * (2 * $n + 5);
        $sum = $of(count($points));
        foreach ([0, 1] as $side) {
            foreach (array_count_values(array_map(strval(...), array_column($points, $side))) as $same) {
                $sum -= $of($same);
            }
        }

        return max(0.0, $sum / 18);
    }
}
