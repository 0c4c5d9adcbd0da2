<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * There are no accounts yet, so only this machine is answered: a page of another site that has its own name point to
 * loopback would otherwise speak for the technician.
 */
final class OnlyThisMachine
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $given = (string) $request->headers->get('Host');
        $name = (string) preg_replace('/:\d+$/', '', $given);
        if (! in_array($name, (array) config('tally.hosts'), true)) {
            return response('This is Gritty Tally, which answers only on this machine: open it as http://127.0.0.1 or http://localhost with its port.', 403, ['Content-Type' => 'text/plain; charset=utf-8']);
        }
        $origin = $request->headers->get('Origin');
        if ($origin !== null && $origin !== 'http://'.$given) {
            return response('This request came from another page than Gritty Tally’s own, and was not carried out.', 403, ['Content-Type' => 'text/plain; charset=utf-8']);
        }
        $response = $next($request);
        $response->headers->set('X-Frame-Options', 'DENY');
        $response->headers->set('X-Content-Type-Options', 'nosniff');
        $response->headers->set('Referrer-Policy', 'same-origin');

        return $response;
    }
}
