<?php

declare(strict_types=1);

namespace Tests\Support;

use Tally\Device\DeviceFacts;
use Tally\Quantity\Bytes;

/** What stands in front of another device hands on to it what it does not change. */
trait InFrontOfDevice
{
    public function size(): Bytes
    {
        return $this->device->size();
    }

    public function stretch(): int
    {
        return $this->device->stretch();
    }

    public function facts(): DeviceFacts
    {
        return $this->device->facts();
    }

    public function close(): void
    {
        $this->device->close();
    }

    public function leave(): void
    {
        $this->device->leave();
    }
}
