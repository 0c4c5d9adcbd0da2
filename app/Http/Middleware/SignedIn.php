<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\People\Ability;
use App\People\Authorisation;
use App\People\Workspace;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lets in whoever is signed in, and where the house is open, everybody. Writing takes a role that may; what somebody says in a
 * form of who did it is their own name and nobody else's.
 */
final class SignedIn
{
    /** A sitting ends after so many hours, however busy it is. */
    private const SITTING = 12;

    public const SINCE = 'signed_in_at';

    /** Questions that are asked while somebody types, and keep nothing. */
    private const ASKING = [
        'intake/preview',
        'typed/check',
        'offload/what-if',
        'offload/beside',
        'offload/better',
        'cards/*/runs/forecast',
        'cards/*/stopwatch/check',
        'compare/figures',
        'opinion',
    ];

    private const WITHOUT = ['sign-in', 'sign-out', 'password', 'welcomed'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if ($request->is('sign-in', 'sign-in/once/*')) {
            return $next($request);
        }
        if (Workspace::isOpen()) {
            return $next($request);
        }
        $person = Workspace::person();
        $since = $request->session()->get(self::SINCE);
        if (
            $person === null ||
            $person->disabled_at !== null ||
            ! is_int($since) ||
            $since < now()->subHours(self::SITTING)->getTimestamp()
        ) {
            Auth::guard('web')->logout();
            $request->session()->invalidate();

            // A page that stands in a browser asks to sign in where it is, so that nothing typed on it is lost.
            return $request->expectsJson() || $request->hasHeader('X-Inertia')
                ? response()->json(['message' => 'Nobody is signed in. Sign in again.'], 401)
                : redirect(
                    $request->isMethod('GET') && ! $request->is('/')
                        ? '/sign-in?to='.urlencode('/'.ltrim($request->getRequestUri(), '/'))
                        : '/sign-in',
                );
        }
        if ($person->must_change && ! $request->is(...self::WITHOUT)) {
            return redirect('/password');
        }
        if (! $request->isMethodSafe()) {
            if (! $request->is(...self::ASKING, ...self::WITHOUT)) {
                Authorisation::must(Ability::Write);
            }
            $request->merge(['by' => $person->name]);
        }

        return $next($request);
    }
}
