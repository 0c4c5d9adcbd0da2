<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\SignedIn;
use App\Http\Page;
use App\Models\User;
use App\People\House;
use App\People\PeopleBook;
use App\People\SignInOutcome;
use App\Props\Page\PasswordPageProps;
use App\Props\Page\SignInPageProps;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\Rules\Password;
use Illuminate\Validation\ValidationException;
use Inertia\Response;

/** Signing in and out, and one's own password. */
final readonly class SignInController
{
    /** Wrong tries a minute: for one name from one address, and for any name from it. */
    private const TRIES = 5;

    private const TRIES_OF_ALL = 30;

    public function show(Request $request): Response|RedirectResponse
    {
        return House::isOpen() || Auth::check()
            ? redirect('/intake')
            : Page::show(new SignInPageProps(to: self::to($request->query('to'))));
    }

    public function in(Request $request): RedirectResponse
    {
        $request->validate(
            ['name' => ['required', 'string', 'max:80'], 'password' => ['required', 'string', 'max:200']],
            [
                'name.required' => 'Write the name you are known by here.',
                'name.max' => 'The name is longer than 80 characters.',
                'password.required' => 'The password is empty.',
                'password.max' => 'The password is longer than 200 characters.',
            ],
        );
        $name = trim($request->string('name')->value());
        $this->mustNotBeTooMany($request, $name);
        // A sitting that was begun before this one is not gone on with.
        $ok = Auth::guard('web')->attempt([
            'name' => $name,
            'password' => $request->string('password')->value(),
            fn (Builder $query): Builder => $query->whereNull('disabled_at'),
        ]);
        if (! $ok) {
            foreach (self::keys($request, $name) as $key => $most) {
                RateLimiter::hit($key);
            }
            $isDisabled = User::query()->where('name', $name)->whereNotNull('disabled_at')->exists();
            self::note($request, $name, $isDisabled ? SignInOutcome::Disabled : SignInOutcome::Wrong);
            throw ValidationException::withMessages([
                'name' => 'No one of that name has that password here. Look at both again; a lead can give you a new password.',
            ]);
        }
        $request->session()->regenerate();
        $request->session()->put(SignedIn::SINCE, now()->getTimestamp());
        self::note($request, $name, SignInOutcome::In);

        return redirect(self::to($request->input('to')));
    }

    public function out(Request $request): RedirectResponse
    {
        $person = House::person();
        if ($person !== null) {
            self::note($request, $person->name, SignInOutcome::Out);
        }
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }

    public function password(): Response|RedirectResponse
    {
        $person = House::person();

        return $person === null
            ? redirect('/intake')
            : Page::show(new PasswordPageProps(name: $person->name, must: $person->must_change, least: self::LEAST));
    }

    private const LEAST = 12;

    public function change(Request $request): RedirectResponse
    {
        $person = House::person();
        if ($person === null) {
            return redirect('/sign-in');
        }
        $request->validate(
            [
                'now' => ['required', 'string', 'current_password'],
                'password' => ['required', 'string', 'max:200', 'different:now', Password::min(self::LEAST)],
                'again' => ['required', 'same:password'],
            ],
            [
                'now.required' => 'Write the password you have now.',
                'now.current_password' => 'That is not the password you have now.',
                'password.required' => 'Write the new password.',
                'password.different' => 'The new password is the one you have now. Choose another.',
                'password' => 'The new password is too short: '.self::LEAST.' characters at the least. A few words in a row are '.
                'easy to keep.',
                'again' => 'The second time it was typed otherwise.',
            ],
        );
        $person->forceFill(['password' => $request->string('password')->value(), 'must_change' => false])->save();
        // All other sittings of this person end with it.
        $request->session()->regenerate();
        $request->session()->put('password_hash_web', $person->getAuthPassword());
        self::note($request, $person->name, SignInOutcome::Changed);

        return redirect('/intake');
    }

    /** @throws ValidationException */
    private function mustNotBeTooMany(Request $request, string $name): void
    {
        foreach (self::keys($request, $name) as $key => $most) {
            if (RateLimiter::tooManyAttempts($key, $most)) {
                self::note($request, $name, SignInOutcome::TooMany);
                throw ValidationException::withMessages([
                    'name' => 'Too many tries. Wait '.RateLimiter::availableIn($key).' s, then try again.',
                ]);
            }
        }
    }

    /** @return array<string, int> what is counted → how many wrong tries of it a minute */
    private static function keys(Request $request, string $name): array
    {
        return [
            'sign-in '.hash('sha256', mb_strtolower($name))." {$request->ip()}" => self::TRIES,
            "sign-in {$request->ip()}" => self::TRIES_OF_ALL,
        ];
    }

    /** Only to a page of this house. */
    private static function to(mixed $given): string
    {
        return is_string($given) && preg_match('#^/(?![/\\\\])[^\s\\\\]*$#D', $given) === 1 ? $given : '/intake';
    }

    private static function note(Request $request, string $name, SignInOutcome $outcome): void
    {
        PeopleBook::note($name, $outcome, $request->ip(), $request->userAgent());
    }
}
