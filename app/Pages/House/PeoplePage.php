<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\People\Ability;
use App\Models\People\Role;
use App\Models\People\SignIn;
use App\Models\People\User;
use App\Models\When;
use App\Pages\Page;
use App\People\Workspace;

/**
 * Who is here, who may what, and who signed in when.
 *
 *
 * @phpstan-type PersonProps array{ // Somebody who signs in here.
 *     id: int,
 *     name: string,
 *     role: Role,
 *     disabled: bool,
 *     mustChange: bool,
 *     since: string, // when they were entered, or no longer let in
 * }
 * @phpstan-type RoleProps array{ // A role, and what it may.
 *     role: Role,
 *     may: string,
 * }
 * @phpstan-type SignInProps array{ // A try to sign in.
 *     id: int,
 *     on: string,
 *     name: string,
 *     outcome: string,
 *     from: string,
 * }
 * @phpstan-type WhoProps array{ // Who is at the page.
 *     name: string|null, // null where the house is open
 *     role: string, // in a word; “open” where nobody signs in
 *     may: list<Ability>,
 *     welcome: string|null, // what the role may do and may not, for somebody who has not read it yet
 * }
 * @phpstan-type GivenPasswordProps array{ // A password that was just made for somebody, shown once.
 *     name: string,
 *     password: string,
 * }
 */
final readonly class PeoplePage extends Page
{
    private const SIGN_INS = 60;

    /**
     * @param  list<PersonProps>  $people
     * @param  list<RoleProps>  $roles
     * @param  list<SignInProps>  $signIns
     * @param  GivenPasswordProps|null  $once
     */
    public function __construct(
        public array $people,
        public array $roles,
        public array $signIns,
        public ?array $once,
    ) {}

    /** @return list<PersonProps> */
    public static function people(): array
    {
        return array_values(
            User::query()
                ->orderBy('name')
                ->get()
                ->map(
                    fn (User $user): array => [
                        'id' => $user->id,
                        'name' => $user->name,
                        'role' => $user->role,
                        'disabled' => $user->disabled_at !== null,
                        'mustChange' => $user->must_change,
                        'since' => $user->disabled_at === null
                            ? "entered {$user->created_at->format(When::DAY)}"
                            : "not let in since {$user->disabled_at->format(When::DAY)}",
                    ],
                )
                ->all(),
        );
    }

    /** @return list<RoleProps> */
    public static function roles(): array
    {
        return array_map(
            fn (Role $role): array => [
                'role' => $role,
                'may' => $role->abilities() === []
                    ? 'look at everything'
                    : implode(', ', array_map(fn (Ability $ability): string => $ability->words(), $role->abilities())),
            ],
            Role::cases(),
        );
    }

    /** @return list<SignInProps> the newest first */
    public static function signIns(): array
    {
        return array_values(
            SignIn::query()
                ->latest('id')
                ->limit(self::SIGN_INS)
                ->get()
                ->map(
                    fn (SignIn $one): array => [
                        'id' => $one->id,
                        'on' => $one->created_at->format(When::SECOND).' UTC',
                        'name' => $one->name,
                        'outcome' => $one->outcome->value,
                        'from' => $one->address,
                    ],
                )
                ->all(),
        );
    }

    /** @return WhoProps */
    public static function who(): array
    {
        $isOpen = Workspace::isOpen();
        $person = $isOpen ? null : Workspace::person();
        $role = $person?->role;

        return [
            'name' => $person?->name,
            'role' => $isOpen ? 'open' : $role->value ?? '',
            'may' => $isOpen ? Ability::cases() : $role?->abilities() ?? [],
            'welcome' => $role !== null && $person->welcomed_at === null ? $role->welcome() : null,
        ];
    }
}
