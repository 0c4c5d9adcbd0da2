<?php

declare(strict_types=1);

namespace Tally\Reading\Course;

/** What the course of a passage shows: the floor, the plateaus, the cliffs between them, and fading. */
final readonly class CourseReading
{
    /**
     * @param  SustainedFloor|null  $floor  null when too little was written
     * @param  list<Plateau>  $plateaus  in order
     */
    private function __construct(public Course $course, public ?SustainedFloor $floor, public array $plateaus, public ?Fade $fade) {}

    /**
     * @param  list<array{float, float}>  $points  as a trace gives them
     * @param  SustainedFloor|null  $floor  as it was found while writing, finer than a trace of a long run can tell
     */
    public static function of(array $points, ?SustainedFloor $floor = null): self
    {
        $course = new Course($points);
        $plateaus = Plateaus::of($course);
        $longest = null;
        foreach ($plateaus as $plateau) {
            $longest = $longest === null || $plateau->to - $plateau->from > $longest->to - $longest->from ? $plateau : $longest;
        }

        return new self($course, $floor ?? SustainedFloor::of($course), $plateaus, $longest === null ? null : Fade::in($course, $longest));
    }

    /** @return list<float> bytes from the start, where a fast part runs out */
    public function cliffs(): array
    {
        return self::cliffsBetween($this->plateaus);
    }

    /**
     * @param  list<Plateau>  $plateaus  in order
     * @return list<float>
     */
    public static function cliffsBetween(array $plateaus): array
    {
        $cliffs = [];
        foreach ($plateaus as $i => $plateau) {
            $next = $plateaus[$i + 1] ?? null;
            if ($next !== null && $next->rate->isBelow($plateau->rate)) {
                $cliffs[] = $plateau->to;
            }
        }

        return $cliffs;
    }
}
