<?php

declare(strict_types=1);

namespace App\Models;

use App\People\Ability;
use App\People\Role;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Spatie\Permission\Traits\HasRoles;

/**
 * Somebody who signs in here.
 *
 * @property int $id
 * @property string $name
 * @property string $password hashed
 * @property bool $must_change whether the password was given by somebody else
 * @property Carbon|null $disabled_at
 * @property Carbon|null $welcomed_at when they read what they may do here
 * @property Carbon $created_at
 */
final class User extends Authenticatable
{
    use BootsByName;
    use HasRoles;

    protected $guarded = [];

    protected $hidden = ['password'];

    /** Nobody is remembered beyond a sitting. */
    protected $rememberTokenName = '';

    public function role(): Role
    {
        // Every page asks: of one person, a name is enough, without the models around it.
        $name = $this->relationLoaded('roles')
            ? $this->getRoleNames()->first()
            : DB::table('model_has_roles')
                ->join('roles', 'roles.id', 'role_id')
                ->where(['model_type' => self::class, 'model_id' => $this->id])
                ->value('name');

        return Role::tryFrom(is_string($name) ? $name : '') ?? Role::Viewer;
    }

    public function may(Ability $ability): bool
    {
        return $this->disabled_at === null && $this->hasPermissionTo($ability->value);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'must_change' => 'boolean', 'disabled_at' => 'datetime', 'welcomed_at' => 'datetime'];
    }
}
