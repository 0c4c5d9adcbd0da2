<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Label\Bus;

/** A camera body with its slots and modes. */
final readonly class Camera
{
    /**
     * @param  string  $tag  by which the house knows it
     * @param  non-empty-list<CameraSlot>  $slots
     * @param  list<Mode>  $modes
     */
    public function __construct(public string $tag, public string $name, public array $slots, public array $modes) {}

    /** @return list<Bus> of all its slots */
    public function buses(): array
    {
        return array_merge(...array_map(fn (CameraSlot $slot): array => $slot->buses, $this->slots));
    }
}
