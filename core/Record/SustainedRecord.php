<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Probe\SustainedResult;
use Tally\Quantity\Passage;
use Tally\Reading\Course\CourseReading;
use Tally\Value\Inline;

/** What is kept of a sustained run. */
final readonly class SustainedRecord implements Result
{
    /**
     * @param  float|null  $faded  share of the speed lost along the longest plateau
     * @param  float|null  $warmest  °C, where the medium told
     */
    public function __construct(
        #[Inline]
        public Passage $write,
        #[Inline]
        public LongWrite $course,
        public ?float $faded = null,
        public ?float $warmest = null,
    ) {}

    public static function of(SustainedResult $result): self
    {
        $reading = CourseReading::of($result->trace, $result->floor);

        return new self(
            $result->write,
            LongWrite::of($reading),
            $reading->fade?->lost,
            $result->heat === [] ? null : max(array_column($result->heat, 1)),
        );
    }
}
