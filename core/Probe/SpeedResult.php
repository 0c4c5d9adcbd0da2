<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;

/** What a speed run measured. Only whole passages count: one that was stopped half-way is not in it. */
final readonly class SpeedResult
{
    /**
     * @param  Bytes  $region  how much was written and read each time
     * @param  list<Passage>  $writes
     * @param  list<Passage>  $reads
     * @param  bool  $forgot  whether the host was made to forget the data before each reading
     * @param  int  $wrong  bytes that did not come back as written
     * @param  list<array{float, float}>  $trace  of the last whole write: end offset, bytes a second
     * @param  string|null  $cutShort  a sentence, when a fault ended it
     */
    public function __construct(
        public Bytes $region,
        public array $writes,
        public array $reads,
        public bool $forgot,
        public int $wrong,
        public array $trace,
        public bool $stopped,
        public ?string $cutShort = null,
    ) {}

    /** @return list<float> bytes a second of each write */
    public function writeRates(): array
    {
        return self::rates($this->writes);
    }

    /** @return list<float> bytes a second of each read */
    public function readRates(): array
    {
        return self::rates($this->reads);
    }

    /**
     * @param  list<Passage>  $passages
     * @return list<float>
     */
    private static function rates(array $passages): array
    {
        $rates = array_map(fn (Passage $passage): ?float => $passage->rate()?->bytesPerSecond, $passages);

        return array_values(array_filter($rates, fn (?float $rate): bool => $rate !== null));
    }
}
