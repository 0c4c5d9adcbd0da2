<?php

declare(strict_types=1);

namespace Tests\Support;

use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Pattern\Data;

/** A device of which each stretch takes so long to come and so long to be looked at. */
final class ReadsAhead implements Device
{
    use InFrontOfDevice;

    public function __construct(private Device $device, private Clock $clock, private float $waits, private float $checks) {}

    public function write(int $offset, Data $data): void
    {
        $this->device->write($offset, $data);
    }

    public function read(int $offset, int $length): Data
    {
        $this->clock->pause($this->waits);

        return new class($this->device->read($offset, $length), $this->clock, $this->checks) implements Data
        {
            public function __construct(private Data $data, private Clock $clock, private float $checks) {}

            public function length(): int
            {
                return $this->data->length();
            }

            public function bytes(): string
            {
                $this->clock->pause($this->checks);

                return $this->data->bytes();
            }
        };
    }

    public function settle(): void
    {
        $this->device->settle();
    }

    public function forget(): bool
    {
        return $this->device->forget();
    }
}
