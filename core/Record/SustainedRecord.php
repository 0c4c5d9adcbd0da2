<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Probe\SustainedResult;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Span;
use Tally\Reading\Course\CourseReading;

/** What is kept of a sustained run. */
final readonly class SustainedRecord implements Result
{
    /**
     * @param  float|null  $faded  share of the speed lost along the longest plateau
     * @param  float|null  $warmest  °C, where the medium told
     */
    public function __construct(
        public Passage $write,
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

    public static function unpack(Fields $record): self
    {
        return new self(
            new Passage(Bytes::of($record->count('bytes', 0)), Span::seconds($record->number('seconds', 0))),
            LongWrite::unpack($record),
            $record->numberOrNull('faded'),
            $record->numberOrNull('warmest'),
        );
    }

    public function pack(): array
    {
        return [
            'bytes' => $this->write->bytes->count,
            'seconds' => $this->write->span->seconds,
            ...$this->course->pack(),
            'faded' => $this->faded,
            'warmest' => $this->warmest,
        ];
    }
}
