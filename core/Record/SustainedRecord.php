<?php

declare(strict_types=1);

namespace App\Runs;

use Illuminate\Support\Fluent;
use Tally\Chain\Path;
use Tally\Probe\Passage;
use Tally\Probe\SustainedResult;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Reading\Course\CourseReading;
use Tally\Reading\Course\Plateau;
use Tally\Verdict\SustainedEvidence;

/** What is kept of a sustained run. */
final readonly class SustainedRecord
{
    /**
     * @param  Rate|null  $floor  the lowest mean over a window; null when too little was written to tell
     * @param  float  $from  bytes from the start, where that window begins
     * @param  float  $to  and where it ends
     * @param  list<Plateau>  $plateaus
     * @param  float|null  $warmest  °C, where the medium told
     * @param  float|null  $faded  share of the speed lost along the longest plateau
     */
    public function __construct(
        public Passage $write,
        public ?Rate $floor,
        public float $window,
        public float $from,
        public float $to,
        public array $plateaus,
        public ?float $faded,
        public ?float $warmest = null,
    ) {}

    public static function of(SustainedResult $result): self
    {
        $reading = CourseReading::of($result->trace, $result->floor);

        return new self(
            $result->write, $reading->floor?->rate, $reading->floor->window ?? 0.0, $reading->floor->from ?? 0.0, $reading->floor->to ?? 0.0,
            $reading->plateaus, $reading->fade?->lost, $result->heat === [] ? null : max(array_column($result->heat, 1)),
        );
    }

    /** @param  Fluent<string, mixed>  $record */
    public static function unpack(Fluent $record): self
    {
        $plateaus = [];
        foreach ($record->array('plateaus') as $row) {
            $row = new Fluent(is_array($row) ? $row : []);
            $plateaus[] = new Plateau($row->float('0'), $row->float('1'), Rate::bytesPerSecond($row->float('2')));
        }

        return new self(
            new Passage(Bytes::of($record->integer('bytes')), Span::seconds($record->float('seconds'))),
            $record->get('floor') === null ? null : Rate::bytesPerSecond($record->float('floor')),
            $record->float('window'), $record->float('from'), $record->float('to'), $plateaus,
            $record->get('faded') === null ? null : $record->float('faded'),
            $record->get('warmest') === null ? null : $record->float('warmest'),
        );
    }

    /** @return array<string, mixed> */
    public function pack(): array
    {
        return [
            'bytes' => $this->write->bytes->count, 'seconds' => $this->write->span->seconds,
            'floor' => $this->floor?->bytesPerSecond, 'window' => $this->window, 'from' => $this->from, 'to' => $this->to,
            'plateaus' => array_map(fn (Plateau $one): array => [$one->from, $one->to, $one->rate->bytesPerSecond], $this->plateaus),
            'faded' => $this->faded, 'warmest' => $this->warmest,
        ];
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

    public function evidence(string $run, Path $path): ?SustainedEvidence
    {
        return $this->floor === null ? null : new SustainedEvidence($run, $this->floor, $this->window, $this->write->bytes, $path);
    }
}
