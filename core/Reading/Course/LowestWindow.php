<?php

declare(strict_types=1);

namespace Tally\Reading\Course;

/**
 * Finds the lowest mean over any window while writing goes on: it remembers no more than a window of samples, so a
 * terabyte takes no more memory than a gigabyte, and no short fall is averaged away.
 *
 * Between samples the course is straight, so the least is met where a window begins or ends at a sample.
 */
final class LowestWindow
{
    /** @var non-empty-list<array{float, float}> seconds and bytes at the ends of the last samples, rising */
    private array $ends = [[0.0, 0.0]];

    /** @var array{float, float}|null bytes from the start: where the lowest window begins and ends */
    private ?array $least = null;

    public function __construct(
        private readonly float $window = SustainedFloor::WINDOW,
        private readonly float $skipped = SustainedFloor::SKIPPED,
    ) {}

    /** @param  float  $seconds  above zero */
    public function add(float $bytes, float $seconds): void
    {
        [$time, $at] = $this->ends[count($this->ends) - 1];
        $this->ends[] = [$time + $seconds, $at + $bytes];
        $this->look($time + $seconds - $this->window);
        foreach ($this->ends as [$begin]) {
            // Those windows that end within this sample.
            if ($begin + $this->window > $time && $begin + $this->window <= $time + $seconds) {
                $this->look($begin);
            }
        }
        // The first second may end within a sample.
        if ($this->skipped + $this->window > $time && $this->skipped + $this->window <= $time + $seconds + 1e-9) {
            $this->look($this->skipped);
        }
        $this->drop($time + $seconds - $this->window);
    }

    public function floor(): ?SustainedFloor
    {
        return $this->least === null || $this->least[1] <= $this->least[0]
            ? null
            : SustainedFloor::met($this->least[0], $this->least[1], $this->window);
    }

    private function look(float $begin): void
    {
        if ($begin < $this->skipped - 1e-9) {
            return;
        }
        [$from, $to] = [$this->at($begin), $this->at($begin + $this->window)];
        if ($this->least === null || $to - $from < $this->least[1] - $this->least[0]) {
            $this->least = [$from, $to];
        }
    }

    /** Bytes that had passed at a moment. */
    private function at(float $moment): float
    {
        $before = $this->ends[0];
        foreach ($this->ends as $end) {
            if ($end[0] >= $moment) {
                return $end[0] <= $before[0]
                    ? $end[1]
                    : $before[1] + (($end[1] - $before[1]) * ($moment - $before[0])) / ($end[0] - $before[0]);
            }
            $before = $end;
        }

        return $before[1];
    }

    /** What lies before every window still to come, but for the sample in which one begins. */
    private function drop(float $moment): void
    {
        while (count($this->ends) > 2 && $this->ends[1][0] <= $moment) {
            array_shift($this->ends);
        }
    }
}
