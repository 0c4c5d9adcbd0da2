<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

/** A mode to choose. */
final readonly class ShootModeProps
{
    /** @param  string  $records  from slot to slot, the same in both, proxies; empty of one slot */
    public function __construct(
        public string $key,
        public string $label,
        public bool $isStills,
        public bool $isRelay,
        public string $records,
    ) {}
}
