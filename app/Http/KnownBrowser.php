<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\People\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;

/** A browser in which somebody has signed in before. It lets nobody in; it only tells their tries from those of others. */
final readonly class KnownBrowser
{
    /** Encrypted by the framework, so that nobody makes one up. */
    private const COOKIE = 'tally_known';

    private const MINUTES = 60 * 24 * 180;

    /** @return string|null by which it is told from other browsers; null where this person never signed in in it */
    public static function of(Request $request, ?User $person): ?string
    {
        $known = self::known($request);

        return $person !== null && in_array($person->id, $known['people'], true) ? $known['browser'] : null;
    }

    public static function remember(Request $request, User $person): void
    {
        $known = self::known($request);
        $people = array_slice(array_unique([$person->id, ...$known['people']]), 0, 20);
        $value = json_encode(['browser' => $known['browser'], 'people' => $people], JSON_THROW_ON_ERROR);
        Cookie::queue(Cookie::make(self::COOKIE, $value, self::MINUTES, httpOnly: true, sameSite: 'lax'));
    }

    /** @return array{browser: string, people: list<int>} */
    private static function known(Request $request): array
    {
        $cookie = $request->cookie(self::COOKIE);
        $said = is_string($cookie) ? json_decode($cookie, true) : null;
        $said = is_array($said) ? $said : [];

        return [
            'browser' => is_string($said['browser'] ?? null) ? $said['browser'] : Str::random(32),
            'people' => array_values(array_filter((array) ($said['people'] ?? []), is_int(...))),
        ];
    }
}
