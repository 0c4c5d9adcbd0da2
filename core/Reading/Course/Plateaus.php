<?php

declare(strict_types=1);

namespace Tally\Reading\Course;

use Tally\Quantity\Rate;
use Tally\Reading\Summary;

/**
 * Cuts a course into parts of one speed each: binary segmentation on the logarithm of the rate, least squares, a cut being
 * worth it when it saves more than the Bayesian information criterion asks and the speeds differ enough to matter.
 *
 * Source of the method: Scott & Knott 1974 (binary segmentation); Yao 1988 (number of change points by Schwarz' criterion).
 */
final readonly class Plateaus
{
    /** Speeds that differ by less are one plateau: house rule. */
    private const LEAST_STEP = 0.08;

    /** Stretches that a plateau must have. */
    private const LEAST_LENGTH = 3;

    private const MOST = 12;

    /** Stretches on each side of an edge that tell whether it is a step or a slope. */
    private const NEAR = 6;

    /** @return list<Plateau> in order; empty when the course is too short to tell */
    public static function of(Course $course): array
    {
        $count = $course->count();
        if ($count < 2 * self::LEAST_LENGTH) {
            return $count === 0 ? [] : [new Plateau(0, $course->length(), Rate::bytesPerSecond($course->mean(0, $count)))];
        }
        $logs = array_map(fn (int $i): float => log($course->rate($i)), range(0, $count - 1));
        $cuts = self::cuts($logs);
        $edges = self::withoutTransitions($logs, self::merged($course, [0, ...$cuts, $count]));

        return self::refined($course, $edges);
    }

    /**
     * @param  non-empty-list<float>  $logs
     * @return list<int> where one plateau ends and the next begins, rising
     */
    private static function cuts(array $logs): array
    {
        $count = count($logs);
        [$sums, $squares] = [[0.0], [0.0]];
        foreach ($logs as $i => $log) {
            $sums[] = $sums[$i] + $log;
            $squares[] = $squares[$i] + $log * $log;
        }
        $cost = fn (int $from, int $to): float => max(
            0.0,
            $squares[$to] - $squares[$from] - ($sums[$to] - $sums[$from]) ** 2 / ($to - $from),
        );
        $noise = self::noise($logs);
        $penalty = 3 * $noise * log($count);
        $cuts = [];
        $open = [[0, $count]];
        while ($open !== [] && count($cuts) < self::MOST) {
            [$from, $to] = array_pop($open);
            [$best, $saved] = [null, $penalty];
            for ($cut = $from + self::LEAST_LENGTH; $cut <= $to - self::LEAST_LENGTH; $cut++) {
                $gain = $cost($from, $to) - $cost($from, $cut) - $cost($cut, $to);
                if ($gain > $saved) {
                    [$best, $saved] = [$cut, $gain];
                }
            }
            if ($best !== null) {
                $cuts[] = $best;
                array_push($open, [$from, $best], [$best, $to]);
            }
        }
        sort($cuts);

        return $cuts;
    }

    /**
     * Variance of a single stretch, from the differences of neighbours, which a step between plateaus hardly touches: the
     * median absolute difference, scaled as for a normal distribution.
     *
     * @param  non-empty-list<float>  $logs
     */
    private static function noise(array $logs): float
    {
        $differences = [];
        for ($i = 1; $i < count($logs); $i++) {
            $differences[] = abs($logs[$i] - $logs[$i - 1]);
        }
        sort($differences);
        $median = $differences[intdiv(count($differences), 2)] ?? 0.0;

        return max(1e-6, ($median / 0.6745) ** 2 / 2);
    }

    /**
     * How much the speed changes at an edge. A slope is cut into steps too; there the speed hardly changes near the edge
     * itself, and that is what counts.
     */
    private static function step(Course $course, int $from, int $edge, int $to): float
    {
        $whole = abs(log($course->mean($edge, $to) / $course->mean($from, $edge)));
        // The stretch that a step falls into is on neither side.
        $left = max($from, $edge - 1 - self::NEAR);
        $right = min($to, $edge + 1 + self::NEAR);
        $near = abs(log($course->mean(min($edge + 1, $to - 1), $right) / $course->mean($left, max($edge - 1, $from + 1))));

        return $near < 0.5 * $whole ? 0.0 : $whole;
    }

    /**
     * Joins neighbours whose speeds hardly differ, the closest first.
     *
     * @param  list<int>  $edges
     * @return list<int>
     */
    private static function merged(Course $course, array $edges): array
    {
        while (count($edges) > 2) {
            [$closest, $at] = [self::LEAST_STEP, null];
            for ($i = 1; $i < count($edges) - 1; $i++) {
                $step = self::step($course, $edges[$i - 1], $edges[$i], $edges[$i + 1]);
                if ($step < $closest) {
                    [$closest, $at] = [$step, $i];
                }
            }
            if ($at === null) {
                break;
            }
            array_splice($edges, $at, 1);
        }

        return $edges;
    }

    /**
     * A few stretches between two plateaus, at a speed between theirs, are no plateau but the step itself, cut too late on
     * one side and too soon on the other: one edge takes the place of two, where it fits best.
     *
     * @param  non-empty-list<float>  $logs
     * @param  list<int>  $edges
     * @return list<int>
     */
    private static function withoutTransitions(array $logs, array $edges): array
    {
        $mean = fn (int $from, int $to): float => array_sum(array_slice($logs, $from, $to - $from)) / max(1, $to - $from);
        for ($i = 1; $i + 2 < count($edges); $i++) {
            [$before, $from, $to, $after] = [$edges[$i - 1], $edges[$i], $edges[$i + 1], $edges[$i + 2]];
            [$left, $middle, $right] = [$mean($before, $from), $mean($from, $to), $mean($to, $after)];
            if ($to - $from > self::LEAST_LENGTH + 1 || ($middle - $left) * ($right - $middle) <= 0) {
                continue;
            }
            $best = $from;
            $least = INF;
            for ($edge = $from; $edge <= $to; $edge++) {
                $off = 0.0;
                for ($k = $from; $k < $to; $k++) {
                    $off += ($logs[$k] - ($k < $edge ? $left : $right)) ** 2;
                }
                if ($off < $least) {
                    [$best, $least] = [$edge, $off];
                }
            }
            array_splice($edges, $i, 2, [$best]);
            $i--;
        }

        return $edges;
    }

    /**
     * A step seldom falls just between two stretches: within the one it falls into, the two speeds tell where.
     *
     * @param  list<int>  $edges
     * @return list<Plateau>
     */
    private static function refined(Course $course, array $edges): array
    {
        $last = count($edges) - 1;
        $places = [0 => 0.0, $last => $course->length()];
        for ($i = 1; $i < $last; $i++) {
            $places[$i] = self::place($course, $edges[$i - 1], $edges[$i], $edges[$i + 1]);
        }
        $plateaus = [];
        for ($i = 0; $i < $last; $i++) {
            [$from, $to] = [$places[$i] ?? 0.0, $places[$i + 1] ?? 0.0];
            // The stretches at its ends are mixed with its neighbours, so the speed is that of the middle one.
            $rates = array_map($course->rate(...), range($edges[$i], max($edges[$i], $edges[$i + 1] - 1)));
            $plateaus[] = new Plateau($from, $to, Rate::bytesPerSecond(Summary::of($rates)->median));
        }

        return $plateaus;
    }

    /** @return float bytes from the start, where the speed of one part turns into that of the next */
    private static function place(Course $course, int $from, int $edge, int $to): float
    {
        $before = $course->mean($from, max($from + 1, $edge - 1));
        $after = $course->mean(min($to - 1, $edge + 1), $to);
        // The two stretches around the edge, together: so much time at one speed, the rest at the other.
        [$begin, $end] = [$course->bytes[$edge - 1], $course->bytes[min($edge + 1, count($course->bytes) - 1)]];
        $time = $course->when($end) - $course->when($begin);
        $share = 1 / $before === 1 / $after ? 0.5 : ($time - ($end - $begin) / $after) / (($end - $begin) * (1 / $before - 1 / $after));

        return $begin + max(0.0, min(1.0, $share)) * ($end - $begin);
    }
}
