<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\People\Workspace;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;
use Tally\Offload\Search\Wanted;

/**
 * What takes more than a moment: searches, tables, reports. They have workers of their own (bin/site), so that no page and no stop button
 * waits for them. Of one person so many go on at once; a newer one ends the oldest, and one whose page has gone away ends too. What a
 * page asks for besides never ends the page itself.
 */
final class LongQuestion
{
    private const AT_ONCE = 2;

    /** Whatever is older than this died. Minutes. */
    private const LONGEST = 5;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $person = Workspace::person()->id ?? 0;
        $isPage = ! $request->expectsJson() || $request->hasHeader('X-Inertia');
        $mine = DB::table('long_questions')->insertGetId(['person' => $person, 'asked_at' => now(), 'is_page' => $isPage]);
        $newest = DB::table('long_questions')
            ->where('person', $person)
            ->orderByDesc('is_page')
            ->orderByDesc('id')
            ->limit(self::AT_ONCE)
            ->pluck('id');
        DB::table('long_questions')
            ->where(fn (Builder $old): Builder => $old->where('person', $person)->whereNotIn('id', $newest))
            ->orWhere('asked_at', '<', now()->subMinutes(self::LONGEST))
            ->delete();
        $isJson = ! $isPage && PHP_SAPI === 'fpm-fcgi';
        app()->instance(Wanted::class, new Wanted(function () use ($mine, $isJson): bool {
            if ($isJson) {
                self::listen();
            }

            return DB::table('long_questions')->useWritePdo()->where('id', $mine)->exists();
        }));
        try {
            // What is no longer wanted is answered by ErrorPage.
            return $next($request);
        } finally {
            DB::table('long_questions')->where('id', $mine)->delete();
        }
    }

    /** A space before the answer, which JSON does not mind: where nobody is there to take it, PHP ends by itself. */
    private static function listen(): void
    {
        if (! headers_sent()) {
            header('Content-Type: application/json');
            header('Cache-Control: no-store, private');
        }
        echo ' ';
        if (ob_get_level() > 0) {
            ob_flush();
        }
        flush();
    }
}
