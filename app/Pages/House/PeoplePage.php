<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\People\Ability;
use App\Models\People\Role;
use App\Models\People\SignIn;
use App\Models\People\User;
use App\Pages\Page;
use App\People\Workspace;

/** Who is here, who may what, and who signed in when. */
final readonly class PeoplePage extends Page
{
    private const SIGN_INS = 60;

    /**
     * @param  list<PersonProps>  $people
     * @param  list<RoleProps>  $roles
     * @param  list<SignInProps>  $signIns
     */
    public function __construct(
        public array $people,
        public array $roles,
        public array $signIns,
        public ?GivenPasswordProps $once,
    ) {}

    /** @return list<PersonProps> */
    public static function people(): array
    {
        return array_values(
            User::query()
                ->orderBy('name')
                ->get()
                ->map(
                    fn (User $user): PersonProps => new PersonProps(
                        $user->id,
                        $user->name,
                        $user->role,
                        $user->disabled_at !== null,
                        $user->must_change,
                        $user->disabled_at === null
                            ? "entered {$user->created_at->format('j M Y')}"
                            : "not let in since {$user->disabled_at->format('j M Y')}",
                    ),
                )
                ->all(),
        );
    }

    /** @return list<RoleProps> */
    public static function roles(): array
    {
        return array_map(
            fn (Role $role): RoleProps => new RoleProps(
                $role,
                $role->abilities() === []
                    ? 'look at everything'
                    : implode(', ', array_map(fn (Ability $ability): string => $ability->words(), $role->abilities())),
            ),
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
                    fn (SignIn $one): SignInProps => new SignInProps(
                        $one->id,
                        $one->created_at->format('j M Y H:i:s').' UTC',
                        $one->name,
                        $one->outcome->value,
                        $one->address,
                    ),
                )
                ->all(),
        );
    }

    public static function who(): WhoProps
    {
        $isOpen = Workspace::isOpen();
        $person = $isOpen ? null : Workspace::person();
        $role = $person?->role;

        return new WhoProps(
            $person?->name,
            $isOpen ? 'open' : $role->value ?? '',
            $isOpen ? Ability::cases() : $role?->abilities() ?? [],
            $role !== null && $person->welcomed_at === null ? $role->welcome() : null,
        );
    }
}
