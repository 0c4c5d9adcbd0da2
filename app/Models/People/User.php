<?php

declare(strict_types=1);

namespace App\Models\People;

use App\Models\BootsByName;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;

/**
 * Somebody who signs in here.
 *
 * @property int $id
 * @property string $name
 * @property string $password hashed
 * @property Role $role
 * @property bool $must_change whether the password was given by somebody else
 * @property Carbon|null $disabled_at
 * @property Carbon|null $welcomed_at when they read what they may do here
 * @property Carbon $created_at
 */
final class User extends Authenticatable
{
    use BootsByName;

    protected $guarded = [];

    protected $attributes = ['role' => Role::Viewer->value];

    protected $hidden = ['password'];

    /** Nobody is remembered beyond a sitting. */
    protected $rememberTokenName = '';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'role' => Role::class,
            'must_change' => 'boolean',
            'disabled_at' => 'datetime',
            'welcomed_at' => 'datetime',
        ];
    }
}
