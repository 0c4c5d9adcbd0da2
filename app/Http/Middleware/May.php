<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\People\Ability;
use App\People\Authorisation;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A route that not everybody may use: `may:void`. */
final class May
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next, string $ability): Response
    {
        Authorisation::must(Ability::from($ability));

        return $next($request);
    }
}
