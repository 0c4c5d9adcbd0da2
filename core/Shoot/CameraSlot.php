<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Label\Bus;

/** A slot of a camera. */
final readonly class CameraSlot
{
    /** @param  non-empty-list<Bus>  $buses  what it speaks */
    public function __construct(public string $name, public array $buses) {}
}
