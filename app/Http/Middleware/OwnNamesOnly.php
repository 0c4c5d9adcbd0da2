<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers under this house's own names only, and only to its own pages: a page of another site that has its name point here
 * would otherwise speak for the technician. And says to browsers what pages of this house may do.
 */
final class OwnNamesOnly
{
    private const PROXIES = ['127.0.0.1', '::1'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (config('tally.behind_proxy') === true) {
            // Only of a proxy on this machine is it believed how the other side was reached.
            TrustProxies::at(self::PROXIES);
            TrustProxies::withHeaders(Request::HEADER_X_FORWARDED_PROTO | Request::HEADER_X_FORWARDED_FOR);
            Request::setTrustedProxies(self::PROXIES, Request::HEADER_X_FORWARDED_PROTO | Request::HEADER_X_FORWARDED_FOR);
        }
        $given = (string) $request->headers->get('Host');
        $name = (string) preg_replace('/:\d+$/', '', $given);
        if (! in_array($name, (array) config('tally.hosts'), true)) {
            return response(
                'This is Gritty Tally, which answers only under its own names: open it as http://127.0.0.1 or http://localhost with '.
                'its port.',
                403,
                ['Content-Type' => 'text/plain; charset=utf-8'],
            );
        }
        $origin = $request->headers->get('Origin');
        if ($origin !== null && self::written($origin) !== self::written($request->getScheme()."://{$given}")) {
            return response('This request came from another page than Gritty Tally’s own, and was not carried out.', 403, [
                'Content-Type' => 'text/plain; charset=utf-8',
            ]);
        }
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        // Styles are written by scripts of ours; everything else comes from this address alone.
        $response->headers->set(
            'Content-Security-Policy',
            "default-src 'self'; script-src 'self' 'nonce-{$nonce}'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; ".
            "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
        );
        if ($request->secure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }
        // What the books say is kept by nobody on the way, nor by the browser once somebody has signed out.
        $response->headers->set('Cache-Control', 'no-store, private');
        $response->headers->set('X-Frame-Options', 'DENY');
        $response->headers->set('X-Content-Type-Options', 'nosniff');
        $response->headers->set('Referrer-Policy', 'same-origin');

        return $response;
    }

    /** An origin as browsers write it: without its port where that is the usual one. */
    private static function written(string $origin): string
    {
        return (string) preg_replace('#^(https://.+):443$|^(http://.+):80$#D', '$1$2', strtolower($origin));
    }
}
