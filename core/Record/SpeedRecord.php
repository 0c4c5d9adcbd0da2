<?php

declare(strict_types=1);

namespace App\Runs;

use Illuminate\Support\Fluent;
use Tally\Chain\Path;
use Tally\Label\Label;
use Tally\Probe\SpeedPlan;
use Tally\Probe\SpeedResult;
use Tally\Quantity\Bytes;
use Tally\Reading\SpeedReading;

/** What is kept of a speed run. */
final readonly class SpeedRecord
{
    /**
     * @param  Bytes  $region  nothing where nobody told how much was moved
     * @param  list<float>  $writes  bytes a second, one a run
     * @param  list<float>  $reads
     * @param  list<string>  $disagree  `write`, `read`: typed with a size and a time that do not go with the speed
     * @param  bool  $forgot  whether the host was made to forget before reading
     * @param  int  $wrong  bytes that did not come back as written
     */
    public function __construct(
        public Bytes $region,
        public array $writes,
        public array $reads,
        public bool $forgot,
        public int $wrong,
        public Bytes $from,
        public array $disagree = [],
    ) {}

    public static function of(SpeedResult $result, SpeedPlan $plan): self
    {
        return new self($result->region, $result->writeRates(), $result->readRates(), $result->forgot, $result->wrong, $plan->from);
    }

    /** @param  Fluent<string, mixed>  $record */
    public static function unpack(Fluent $record): self
    {
        return new self(
            Bytes::of($record->integer('region')),
            self::rates($record->array('writes')),
            self::rates($record->array('reads')),
            $record->boolean('forgot'),
            $record->integer('wrong'),
            Bytes::of($record->integer('from')),
            array_values(array_filter($record->array('disagree'), is_string(...))),
        );
    }

    /** @return array{region: int, writes: list<float>, reads: list<float>, forgot: bool, wrong: int, from: int, disagree: list<string>} */
    public function pack(): array
    {
        return ['region' => $this->region->count, 'writes' => $this->writes, 'reads' => $this->reads, 'forgot' => $this->forgot, 'wrong' => $this->wrong, 'from' => $this->from->count, 'disagree' => $this->disagree];
    }

    public function read(Path $path, ?Label $label): SpeedReading
    {
        return SpeedReading::of($this->writes, $this->reads, $this->forgot, $this->region, $this->wrong, $path, $label, $this->from, $this->disagree);
    }

    /**
     * @param  array<mixed>  $values
     * @return list<float>
     */
    private static function rates(array $values): array
    {
        return array_map(floatval(...), array_values(array_filter($values, is_numeric(...))));
    }
}
