<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\Ability;
use App\Models\People\Role;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Who may do what, as the Gate knows it (AppServiceProvider), with a sentence for whoever may not. */
final readonly class Authorisation
{
    public static function may(Ability $ability): bool
    {
        return Gate::allows($ability);
    }

    /** @throws ValidationException with who may */
    public static function must(Ability $ability): void
    {
        if (! self::may($ability)) {
            $person = Workspace::person();
            $who = implode(
                ' and ',
                array_map(
                    fn (Role $role): string => "{$role->value}s",
                    array_filter(Role::cases(), fn (Role $role): bool => in_array($ability, $role->abilities(), true)),
                ),
            );
            throw ValidationException::withMessages([
                'may' => ($person === null ? 'Nobody is signed in' : "{$person->name} is here as {$person->role->value}").
                    ", and only {$who} may {$ability->words()}. Nothing was changed.",
            ]);
        }
    }
}
