<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\User;
use Illuminate\Support\Facades\Auth;

/**
 * Who is at it. On a machine that nobody else reaches, with one person at most in the books, the house is open: nobody
 * signs in, and every page says so. Anywhere else everybody signs in.
 */
final readonly class Workspace
{
    public static function isOpen(): bool
    {
        // Asked once for each request: every part of a page wants to know.
        $request = request();
        $known = $request->attributes->get(self::class);
        if (is_bool($known)) {
            return $known;
        }
        $isOpen = self::isAlone() && User::query()->count() < 2;
        // A terminal has one request for as long as it lives.
        if (! app()->runningInConsole() || app()->runningUnitTests()) {
            $request->attributes->set(self::class, $isOpen);
        }

        return $isOpen;
    }

    /** Whether only this machine is answered. */
    public static function isAlone(): bool
    {
        $listen = config('tally.listen');

        return config('tally.open') !== 'never' &&
            config('tally.behind_proxy') !== true &&
            is_string($listen) &&
            preg_match('/^(?:127\.|::1$|localhost$)/', $listen) === 1;
    }

    public static function person(): ?User
    {
        $user = Auth::user();

        return $user instanceof User ? $user : null;
    }
}
