<?php

declare(strict_types=1);

namespace App\Runs;

use Illuminate\Support\Fluent;
use Tally\Chain\Path;
use Tally\Label\Label;
use Tally\Probe\SpeedResult;
use Tally\Quantity\Bytes;
use Tally\Reading\SpeedReading;

/** What is kept of a speed run. */
final readonly class SpeedRecord
{
    /**
     * @param  list<float>  $writes  bytes a second, one a run
     * @param  list<float>  $reads
     * @param  int  $wrong  bytes that did not come back as written
     */
    public function __construct(
        public Bytes $region,
        public array $writes,
        public array $reads,
        public bool $forgot,
        public int $wrong,
    ) {}

    public static function of(SpeedResult $result): self
    {
        return new self($result->region, $result->writes(), $result->reads(), $result->forgot(), $result->wrong());
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
        );
    }

    /** @return array{region: int, writes: list<float>, reads: list<float>, forgot: bool, wrong: int} */
    public function pack(): array
    {
        return ['region' => $this->region->count, 'writes' => $this->writes, 'reads' => $this->reads, 'forgot' => $this->forgot, 'wrong' => $this->wrong];
    }

    public function read(Path $path, ?Label $label): SpeedReading
    {
        return SpeedReading::of($this->writes, $this->reads, $this->forgot, $this->region, $this->wrong, $path, $label);
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
