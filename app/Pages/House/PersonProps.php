<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\People\Role;

/** Somebody who signs in here. */
final readonly class PersonProps
{
    /** @param  string  $since  when they were entered, or no longer let in */
    public function __construct(
        public int $id,
        public string $name,
        public Role $role,
        public bool $disabled,
        public bool $mustChange,
        public string $since,
    ) {}
}
