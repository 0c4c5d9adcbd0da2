<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\People\Role;

/** A role, and what it may. */
final readonly class RoleProps
{
    public function __construct(public Role $role, public string $may) {}
}
