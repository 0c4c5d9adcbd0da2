<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Device\Device;
use Tally\Device\Thermometer;

/** How warm a medium became along the bytes, if it tells: at most 256 readings, so memory does not grow with the size. */
final class HeatTrack
{
    private const MOST = 256;

    private readonly ?Thermometer $thermometer;

    /** @var list<array{float, float}> */
    private array $points = [];

    /** Every so-manieth look is kept. */
    private int $every = 1;

    private int $looks = 0;

    public function __construct(Device $device)
    {
        $this->thermometer = $device instanceof Thermometer ? $device : null;
    }

    public function look(int $at): void
    {
        if ($this->thermometer === null || $this->looks++ % $this->every !== 0) {
            return;
        }
        $this->points[] = [(float) $at, $this->thermometer->temperature()->celsius];
        if (count($this->points) === self::MOST) {
            $this->points = array_values(array_filter($this->points, fn (int $i): bool => $i % 2 === 0, ARRAY_FILTER_USE_KEY));
            $this->every *= 2;
        }
    }

    /** @return list<array{float, float}> bytes from the start, °C */
    public function points(): array
    {
        return $this->points;
    }
}
