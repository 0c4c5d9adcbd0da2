<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Quantity\Bytes;

/** What a speed run measured. Only whole looks count: one that was stopped half-way is not in it. */
final readonly class SpeedResult
{
    /**
     * @param  Bytes  $region  how much was written from the start of the medium (or of its free space) each time
     * @param  list<SpeedLook>  $looks
     * @param  list<array{float, float}>  $trace  of the last whole write: end offset, bytes a second
     * @param  string|null  $cutShort  a sentence, when the medium went away in between
     */
    public function __construct(
        public Bytes $region,
        public array $looks,
        public array $trace,
        public bool $stopped,
        public ?string $cutShort = null,
    ) {}

    /** @return list<float> bytes a second of each write */
    public function writes(): array
    {
        return $this->rates(fn (SpeedLook $look): Passage => $look->write);
    }

    /** @return list<float> bytes a second of each read */
    public function reads(): array
    {
        return $this->rates(fn (SpeedLook $look): Passage => $look->read);
    }

    public function forgot(): bool
    {
        return array_filter($this->looks, fn (SpeedLook $look): bool => ! $look->forgot) === [];
    }

    public function wrong(): int
    {
        return array_sum(array_map(fn (SpeedLook $look): int => $look->wrong, $this->looks));
    }

    /**
     * @param  callable(SpeedLook): Passage  $way
     * @return list<float>
     */
    private function rates(callable $way): array
    {
        $rates = array_map(fn (SpeedLook $look): ?float => $way($look)->rate()?->bytesPerSecond, $this->looks);

        return array_values(array_filter($rates, fn (?float $rate): bool => $rate !== null));
    }
}
