<?php

declare(strict_types=1);

namespace App\Http;

use App\People\Workspace;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;

/** Who is at the bench: whoever is signed in; where the house is open, the name that was last given in this browser. */
final readonly class Person
{
    private const COOKIE = 'person';

    private const DAYS = 400;

    public static function of(Request $request): ?string
    {
        if (! Workspace::isOpen()) {
            return Workspace::person()?->name;
        }
        $name = $request->cookie(self::COOKIE);

        return is_string($name) && trim($name) !== '' ? mb_substr(trim($name), 0, 80) : null;
    }

    public static function remember(string $name): void
    {
        if (Workspace::isOpen()) {
            Cookie::queue(self::COOKIE, $name, self::DAYS * 24 * 60);
        }
    }
}
