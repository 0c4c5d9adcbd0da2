<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Probe\SpeedPlan;
use Tally\Probe\SpeedResult;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Value\In;

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
        public Bytes $region = new Bytes(0),
        #[In(Rate::class)]
        public array $writes = [],
        #[In(Rate::class)]
        public array $reads = [],
        public bool $forgot = false,
        public int $wrong = 0,
        public Bytes $from = new Bytes(0),
        public array $disagree = [],
    ) {}

    public static function of(SpeedResult $result, SpeedPlan $plan): self
    {
        return new self(
            $result->region,
            $result->writeRates(),
            $result->readRates(),
            $result->forgot,
            wrong: $result->wrong,
            from: $plan->from,
        );
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
