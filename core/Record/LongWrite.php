<?php

declare(strict_types=1);

namespace Tally\Record;

use InvalidArgumentException;
use Tally\Quantity\Rate;
use Tally\Reading\Course\Course;
use Tally\Reading\Course\CourseReading;
use Tally\Reading\Course\Plateau;
use Tally\Reading\Course\SustainedFloor;

/** What the course of one long write showed: its lowest window and its plateaus. */
final readonly class LongWrite
{
    /** A part shorter than this is no speed that somebody would claim: as long as the house's speed runs. Bytes. */
    private const A_RUN = 1e9;

    /**
     * @param  Rate|null  $floor  the lowest mean over a window; null when too little was written to tell
     * @param  float  $window  seconds
     * @param  float  $from  bytes from the start, where that window begins
     * @param  float  $to  and where it ends
     * @param  list<Plateau>  $plateaus  in order
     */
    public function __construct(
        public ?Rate $floor = null,
        public float $window = 0.0,
        public float $from = 0.0,
        public float $to = 0.0,
        public array $plateaus = [],
    ) {}

    public static function of(CourseReading $reading): self
    {
        return self::met($reading->floor, $reading->plateaus);
    }

    /**
     * From what a trace gives.
     *
     * @param  list<array{float, float}>  $points  end offset, bytes a second
     * @param  SustainedFloor|null  $floor  as it was met while writing, finer than a trace of a long run can tell
     */
    public static function traced(array $points, ?SustainedFloor $floor = null): ?self
    {
        return $points === [] ? null : self::of(CourseReading::of($points, $floor));
    }

    /**
     * From pieces of steady speed, in order.
     *
     * @param  non-empty-list<array{float, Rate}>  $pieces  bytes, speed
     *
     * @throws InvalidArgumentException when a piece has no length
     */
    public static function pieces(array $pieces): self
    {
        [$points, $plateaus, $at] = [[], [], 0.0];
        foreach ($pieces as [$bytes, $rate]) {
            $plateaus[] = new Plateau($at, $at + $bytes, $rate);
            $at += $bytes;
            $points[] = [$at, $rate->bytesPerSecond];
        }

        return self::met(SustainedFloor::of(new Course($points)), $plateaus);
    }

    /** @return list<float> bytes from the start, where a fast part runs out */
    public function cliffs(): array
    {
        return CourseReading::cliffsBetween($this->plateaus);
    }

    public function longestPlateau(): ?Plateau
    {
        $longest = null;
        foreach ($this->plateaus as $plateau) {
            $longest = $longest === null || $plateau->to - $plateau->from > $longest->to - $longest->from ? $plateau : $longest;
        }

        return $longest;
    }

    /** The fastest it went over as much as a speed run writes, or over all where that is less: what a burst can count on. */
    public function fastest(): ?Rate
    {
        $fastest = null;
        $all = $this->plateaus === [] ? 0.0 : $this->plateaus[count($this->plateaus) - 1]->to;
        foreach ($this->plateaus as $plateau) {
            $isLong = $plateau->to - $plateau->from >= min(self::A_RUN, $all) - 1;
            $fastest = $isLong && ($fastest === null || $fastest->isBelow($plateau->rate)) ? $plateau->rate : $fastest;
        }

        return $fastest;
    }

    /** @param  list<Plateau>  $plateaus */
    private static function met(?SustainedFloor $floor, array $plateaus): self
    {
        return new self($floor?->rate, $floor->window ?? 0.0, $floor->from ?? 0.0, $floor->to ?? 0.0, plateaus: $plateaus);
    }
}
