<?php

declare(strict_types=1);

namespace Tally\Reading\Course;

use Tally\Quantity\Rate;

/**
 * The lowest mean over any window of writing: what a recording that needs a steady rate can count on.
 *
 * House default: windows of 4 seconds, after the first second. It is a proxy for a speed class, not its compliance test.
 */
final readonly class SustainedFloor
{
    public const WINDOW = 4.0;

    public const SKIPPED = 1.0;

    /**
     * @param  float  $from  bytes from the start, where the lowest window begins
     * @param  float  $to  and where it ends
     */
    private function __construct(public Rate $rate, public float $from, public float $to, public float $window) {}

    /** @return self|null null when less than a window was written after what is skipped */
    public static function of(Course $course, float $window = self::WINDOW, float $skipped = self::SKIPPED): ?self
    {
        $last = $course->seconds() - $window;
        // A hair's breadth is for rounding: a course of just five seconds has one window.
        if ($last < $skipped - 1e-9) {
            return null;
        }
        // Between samples the course is straight, so the least is met where a window begins or ends at one.
        $begins = [$skipped, max($skipped, $last)];
        foreach ($course->times as $time) {
            $begins[] = $time;
            $begins[] = $time - $window;
        }
        $least = null;
        foreach ($begins as $begin) {
            if ($begin < $skipped || $begin > max($skipped, $last)) {
                continue;
            }
            [$from, $to] = [$course->at($begin), $course->at($begin + $window)];
            if ($least === null || $to - $from < $least[1] - $least[0]) {
                $least = [$from, $to];
            }
        }

        return $least === null || $least[1] <= $least[0] ? null
            : new self(Rate::bytesPerSecond(($least[1] - $least[0]) / $window), $least[0], $least[1], $window);
    }
}
