<?php

declare(strict_types=1);

namespace Tally\Simulated;

use Tally\Device\Files\FileStore;
use Tally\Pattern\Data;

/** Files on a made-up medium: each costs the file system’s own time besides that of its bytes. */
final class SimulatedFiles implements FileStore
{
    /** @var array<int, int> where each file begins */
    private array $begins = [];

    private int $end = 0;

    /** @param  float  $overhead  seconds that each file costs, writing or reading */
    public function __construct(
        private readonly SimulatedDevice $device,
        private readonly SimulatedClock $clock,
        private readonly float $overhead = 0.004,
    ) {}

    public function put(int $number, Data $data): void
    {
        if (! isset($this->begins[$number])) {
            $this->begins[$number] = $this->end;
            $this->end += $data->length();
        }
        $this->device->write($this->begins[$number], $data);
        $this->clock->advance($this->overhead);
    }

    public function get(int $number, int $length): Data
    {
        $this->clock->advance($this->overhead);

        return $this->device->read($this->begins[$number] ?? 0, $length);
    }

    public function forget(): bool
    {
        return $this->device->forget();
    }

    public function clear(): void {}
}
