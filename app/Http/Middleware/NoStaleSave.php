<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Seen;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What a page saves is refused where it showed another state of it than there is now. */
final class NoStaleSave
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next, string $thing): Response
    {
        Seen::mustBeSo($request, $thing);

        return $next($request);
    }
}
