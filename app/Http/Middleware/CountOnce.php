<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * A form that is sent twice, by a double click or because the network gave up on the first answer, counts once. The page names
 * each sending by a key of its own; one that was carried out is not carried out again.
 */
final class CountOnce
{
    private const HEADER = 'X-Once';

    /** Nobody sends a form again after so many hours. */
    private const HOURS = 48;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $given = $request->headers->get(self::HEADER, '');
        if ($request->isMethodSafe() || ! is_string($given) || $given === '') {
            return $next($request);
        }
        $key = hash('sha256', "{$request->method()} {$request->path()} {$given}");
        if (DB::table('sent_forms')->insertOrIgnore(['key' => $key, 'sent_at' => now()]) === 0) {
            return redirect()->back(303);
        }
        try {
            $response = $next($request);
        } catch (Throwable $fault) {
            DB::table('sent_forms')->where('key', $key)->delete();
            throw $fault;
        }
        // What was refused may be sent again, corrected or not.
        if ($response->getStatusCode() >= 400 || $request->session()->has('errors')) {
            DB::table('sent_forms')->where('key', $key)->delete();
        }
        if (random_int(0, 99) === 0) {
            DB::table('sent_forms')->where('sent_at', '<', now()->subHours(self::HOURS))->delete();
        }

        return $response;
    }
}
