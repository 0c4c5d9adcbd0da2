<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\Role;
use App\Models\People\SignIn;
use App\Models\People\SignInOutcome;
use App\Models\People\User;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** The people of the house: entered, given another role or a new password, and no longer let in. */
final readonly class PeopleBook
{
    /** @return string the password to be given to them, which they change when they first sign in */
    public static function enter(string $name, Role $role, ?string $password = null): string
    {
        $once = $password ?? self::password();
        User::query()->create(['name' => $name, 'role' => $role, 'password' => $once, 'must_change' => $password === null]);

        return $once;
    }

    /** @return string the new password, for once */
    public static function reset(User $user): string
    {
        $once = self::password();
        $user->forceFill(['password' => $once, 'must_change' => true])->save();

        return $once;
    }

    /** @throws ValidationException when nobody would be left who manages people */
    public static function assign(User $user, Role $role): void
    {
        self::mustLeaveALead($user, $role === Role::Lead);
        $user->forceFill(['role' => $role])->save();
    }

    /** @throws ValidationException when nobody would be left who manages people */
    public static function disable(User $user): void
    {
        self::mustLeaveALead($user, false);
        $user->forceFill(['disabled_at' => now()])->save();
    }

    public static function enable(User $user): void
    {
        $user->forceFill(['disabled_at' => null])->save();
    }

    public static function note(string $name, SignInOutcome $outcome, ?string $address, ?string $agent): void
    {
        SignIn::query()->create([
            'name' => mb_substr(mb_scrub($name), 0, 80),
            'outcome' => $outcome,
            'address' => $address ?? '',
            'agent' => mb_substr(mb_scrub($agent ?? ''), 0, 200),
            'created_at' => now(),
        ]);
    }

    /** Letters and digits that are not taken for one another. */
    private static function password(): string
    {
        return implode('-', array_map(fn (): string => (string) preg_replace('/[0O1Il]/', 'k', Str::random(5)), range(1, 3)));
    }

    /** @throws ValidationException */
    private static function mustLeaveALead(User $user, bool $stays): void
    {
        $others = User::query()
            ->whereKeyNot($user->id)
            ->whereNull('disabled_at')
            ->where('role', Role::Lead)
            ->exists();
        if (! $stays && ! $others && $user->role === Role::Lead) {
            throw ValidationException::withMessages([
                'person' => "{$user->name} is the last lead: nobody could manage people any more. Make somebody else one first.",
            ]);
        }
    }
}
