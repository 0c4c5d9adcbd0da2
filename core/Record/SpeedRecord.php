<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Probe\SpeedPlan;
use Tally\Probe\SpeedResult;
use Tally\Quantity\Bytes;

/** What is kept of a speed run. */
final readonly class SpeedRecord implements Result
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

    public static function unpack(Fields $record): self
    {
        return new self(
            Bytes::of($record->count('region', 0)),
            $record->rates('writes'),
            $record->rates('reads'),
            $record->boolean('forgot'),
            $record->count('wrong', 0),
            Bytes::of($record->count('from', 0)),
            $record->texts('disagree'),
        );
    }

    /** @return array{region: int, writes: list<float>, reads: list<float>, forgot: bool, wrong: int, from: int, disagree: list<string>} */
    public function pack(): array
    {
        return [
            'region' => $this->region->count,
            'writes' => $this->writes,
            'reads' => $this->reads,
            'forgot' => $this->forgot,
            'wrong' => $this->wrong,
            'from' => $this->from->count,
            'disagree' => $this->disagree,
        ];
    }

    public function hasSpeeds(): bool
    {
        return $this->writes !== [] || $this->reads !== [];
    }

    /** `first 1 GB`: which region the figures cover */
    public function covers(): string
    {
        return SpeedPlan::covering($this->region, $this->from);
    }
}
