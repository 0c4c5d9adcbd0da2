<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

/**
 * How flows share what they pass: all rates rise together; when something is full, the flows through it stop, and the others
 * go on. Source: Bertsekas & Gallager, Data Networks, 2nd ed., § 6.5.2 (max-min fairness by progressive filling).
 */
final readonly class MaxMin
{
    /** Two levels nearer than this are one. */
    private const EDGE = 1 + 1e-12;

    /**
     * @param  array<int, float>  $limits  flow → the most it can do by itself
     * @param  array<int, array<int, float>>  $uses  flow → resource → how much of it one unit of its rate takes
     * @param  array<int, float>  $capacities  resource → how much there is
     * @return array<int, float> flow → its rate
     */
    public static function rates(array $limits, array $uses, array $capacities): array
    {
        if (count($limits) === 1) {
            return self::alone($limits, $uses, $capacities);
        }
        $load = $through = $left = [];
        foreach ($limits as $flow => $limit) {
            foreach ($uses[$flow] as $resource => $weight) {
                if (isset($load[$resource])) {
                    $load[$resource] += $weight;
                    $through[$resource]++;
                } else {
                    $load[$resource] = $weight;
                    $through[$resource] = 1;
                    $left[$resource] = $capacities[$resource];
                }
            }
        }
        $rates = [];
        while ($limits !== []) {
            $level = min($limits);
            foreach ($load as $resource => $weight) {
                $at = $left[$resource] / $weight;
                if ($at < $level) {
                    $level = $at;
                }
            }
            $level = max(0.0, $level);
            $edge = $level * self::EDGE;
            $full = [];
            foreach ($load as $resource => $weight) {
                if ($left[$resource] <= $edge * $weight) {
                    $full[$resource] = true;
                }
            }
            foreach ($limits as $flow => $limit) {
                if ($limit > $edge && array_intersect_key($uses[$flow], $full) === []) {
                    continue;
                }
                $rates[$flow] = $level;
                unset($limits[$flow]);
                foreach ($uses[$flow] as $resource => $weight) {
                    if (--$through[$resource] === 0) {
                        unset($load[$resource], $full[$resource]);
                    } else {
                        $load[$resource] -= $weight;
                        $left[$resource] -= $level * $weight;
                    }
                }
            }
        }

        return $rates;
    }

    /**
     * @param  array<int, float>  $limits
     * @param  array<int, array<int, float>>  $uses
     * @param  array<int, float>  $capacities
     * @return array<int, float>
     */
    private static function alone(array $limits, array $uses, array $capacities): array
    {
        foreach ($limits as $flow => $rate) {
            foreach ($uses[$flow] as $resource => $weight) {
                $rate = min($rate, $capacities[$resource] / $weight);
            }

            return [$flow => $rate];
        }

        return [];
    }
}
