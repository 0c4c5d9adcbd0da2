<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\KnownBrowser;
use App\Http\Middleware\SignedIn;
use App\Models\People\SignInOutcome;
use App\Models\People\User;
use App\Pages\House\PasswordPage;
use App\Pages\House\SignInPage;
use App\Pages\Page;
use App\People\OnceAddress;
use App\People\Passwords;
use App\People\PeopleBook;
use App\People\Tries;
use App\People\Workspace;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Timebox;
use Illuminate\Validation\Rules\Password;
use Illuminate\Validation\ValidationException;

/** Signing in and out, and one's own password. */
final readonly class SignInController
{
    public function show(Request $request): Page|RedirectResponse
    {
        return Workspace::isOpen() || Auth::check()
            ? redirect('/intake')
            : new SignInPage(to: self::to($request->query('to')));
    }

    public function in(Request $request): RedirectResponse|JsonResponse
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
        $person = User::query()->where('name', $name)->first();
        $tries = Tries::of($name, $person, $request->ip() ?? '', KnownBrowser::of($request, $person));
        $waits = $tries->take();
        if ($waits > 0) {
            self::note($request, $name, SignInOutcome::TooMany);
            throw ValidationException::withMessages([
                'name' => "Too many tries. Wait {$waits} s, then try again. Whoever is at the station’s terminal gets in at once with ".
                    'php artisan tally:sign-in.',
            ]);
        }
        // A wrong try takes the same, whatever it was wrong by.
        $is = (new Timebox())->call(function (Timebox $box) use ($person, $request): bool {
            $is = Passwords::match($person, $request->string('password')->value());

            if ($is) {
                $box->returnEarly();
            }

            return $is;
        }, config()->integer('hashing.floor') * 1000);
        if (! $is || $person === null) {
            self::note($request, $name, $person?->disabled_at === null ? SignInOutcome::Wrong : SignInOutcome::Disabled);
            throw ValidationException::withMessages([
                'name' => 'No one of that name has that password here. Look at both again; a lead can give you a new password.',
            ]);
        }
        $tries->forget();
        self::letIn($request, $person);

        // Somebody whose sitting was over signs in where they are, and goes on with what they typed.
        return $request->expectsJson() && ! $request->hasHeader('X-Inertia')
            ? response()->json(['name' => $person->name])
            : redirect(self::to($request->input('to')));
    }

    /** By the address that the terminal of the house prints, once. */
    public function once(Request $request, string $token): RedirectResponse
    {
        $person = OnceAddress::use($token);
        if ($person === null) {
            return redirect('/sign-in')->withErrors([
                'name' => 'That address was used already, or is older than ten minutes. php artisan tally:sign-in prints another.',
            ]);
        }
        self::letIn($request, $person);

        return redirect('/intake');
    }

    private static function letIn(Request $request, User $person): void
    {
        // A sitting that was begun before this one is not gone on with.
        Auth::guard('web')->login($person);
        $request->session()->regenerate();
        $request->session()->put(SignedIn::SINCE, now()->getTimestamp());
        KnownBrowser::remember($request, $person);
        self::note($request, $person->name, SignInOutcome::In);
    }

    /** Somebody has read what their role may do. */
    public function welcomed(): RedirectResponse
    {
        Workspace::person()?->forceFill(['welcomed_at' => now()])->save();

        return redirect()->back(303);
    }

    public function out(Request $request): RedirectResponse
    {
        $person = Workspace::person();
        if ($person !== null) {
            self::note($request, $person->name, SignInOutcome::Out);
        }
        Auth::guard('web')->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }

    public function password(): Page|RedirectResponse
    {
        $person = Workspace::person();

        return $person === null
            ? redirect('/intake')
            : new PasswordPage(name: $person->name, must: $person->must_change, least: self::LEAST);
    }

    private const LEAST = 12;

    public function change(Request $request): RedirectResponse
    {
        $person = Workspace::person();
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
