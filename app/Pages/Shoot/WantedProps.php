<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

/** A row of what is recorded, as it is in its form. */
final readonly class WantedProps
{
    /**
     * @param  string  $mode  the key of the mode
     * @param  string  $daily  such as `3 h`, of stills `400`
     * @param  string  $days  such as `1-3, 5`; empty for every day
     * @param  bool  $spare  whether it records without a pause
     */
    public function __construct(public string $mode, public string $daily, public string $days, public bool $spare) {}
}
