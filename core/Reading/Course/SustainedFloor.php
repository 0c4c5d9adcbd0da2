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
        $lowest = new LowestWindow($window, $skipped);
        for ($i = 0; $i < $course->count(); $i++) {
            $lowest->add($course->bytes[$i + 1] - $course->bytes[$i], $course->times[$i + 1] - $course->times[$i]);
        }

        return $lowest->floor();
    }

    /** As it was met between two places, in bytes from the start. */
    public static function met(float $from, float $to, float $window): self
    {
        return new self(Rate::bytesPerSecond(($to - $from) / $window), $from, $to, $window);
    }
}
