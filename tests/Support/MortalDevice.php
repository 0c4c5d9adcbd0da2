<?php

declare(strict_types=1);

namespace Tests\Support;

use RuntimeException;
use Tally\Device\Addressed;
use Tally\Pattern\Data;

/** Remembers at which step each place was written and read, and dies at one of them as a killed program does. */
final class MortalDevice implements Addressed
{
    use InFrontOfDevice;

    /** @var array<int, int> the step at which each place was written last */
    public array $written = [];

    /** @var array<int, int> the step at which each stretch was read last */
    public array $reads = [];

    public int $step = 0;

    public int $dies = PHP_INT_MAX;

    public function __construct(private readonly Addressed $device) {}

    public function write(int $offset, Data $data): void
    {
        $this->live();
        $this->written[$offset] = $this->step;
        $this->device->write($offset, $data);
    }

    public function read(int $offset, int $length): Data
    {
        $this->live();
        if ($length === $this->stretch() || $offset + $length === $this->size()->count) {
            $this->reads[$offset] = $this->step;
        }

        return $this->device->read($offset, $length);
    }

    public function settle(): void
    {
        $this->live();
        $this->device->settle();
    }

    public function forget(): bool
    {
        return $this->device->forget();
    }

    private function live(): void
    {
        $this->step++;
        if ($this->step >= $this->dies) {
            throw new RuntimeException('killed');
        }
    }
}
