<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Taken;
use App\Models\People\Role;
use App\Models\People\User;
use App\Pages\House\PeoplePage;
use App\Pages\Page;
use App\People\PeopleBook;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/**
 * The people of the house, for whoever manages them.
 *
 * @phpstan-import-type GivenPasswordProps from PeoplePage
 */
final readonly class PeopleController
{
    public function show(Request $request): Page
    {
        return new PeoplePage(
            people: PeoplePage::people(),
            roles: PeoplePage::roles(),
            signIns: PeoplePage::signIns(),
            once: self::given($request->session()->get('once')),
        );
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate(
            ['name' => ['required', 'string', 'max:80', 'unique:users,name'], 'role' => ['required', Rule::enum(Role::class)]],
            [
                'name.required' => 'The name is empty. Write how this person is called here.',
                'name.max' => 'The name is longer than 80 characters. Write a shorter one.',
                'name.unique' => 'Somebody of that name is here already. Write the name otherwise.',
                'role' => 'Choose a role: lead, technician or viewer.',
            ],
        );
        $name = trim($request->string('name')->value());
        $once = Taken::told('name', fn (): string => PeopleBook::enter($name, Role::from($request->string('role')->value())));

        return back()->with('once', ['name' => $name, 'password' => $once]);
    }

    public function assign(Request $request, User $user): RedirectResponse
    {
        $request->validate(['role' => ['required', Rule::enum(Role::class)]], ['role' => 'Choose a role: lead, technician or viewer.']);
        PeopleBook::assign($user, Role::from($request->string('role')->value()));

        return back();
    }

    public function reset(User $user): RedirectResponse
    {
        return back()->with('once', ['name' => $user->name, 'password' => PeopleBook::reset($user)]);
    }

    public function disable(User $user): RedirectResponse
    {
        PeopleBook::disable($user);

        return back();
    }

    public function enable(User $user): RedirectResponse
    {
        PeopleBook::enable($user);

        return back();
    }

    /** @return GivenPasswordProps|null */
    private static function given(mixed $once): ?array
    {
        return is_array($once) && is_string($once['name'] ?? null) && is_string($once['password'] ?? null)
            ? ['name' => $once['name'], 'password' => $once['password']] : null;
    }
}
