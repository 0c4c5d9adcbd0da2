<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * A form that is sent twice, by a double click or because the network gave up on the first answer, counts once. The page names
 * each sending by a key of its own, and what is in it belongs to that key. A sending is begun, and then done; one that died half way
 * is carried out when it comes again.
 */
final class CountOnce
{
    private const HEADER = 'X-Once';

    /** Nobody sends a form again after so many hours. */
    private const HOURS = 48;

    /** Seconds for which one that comes again waits for the first. */
    private const PATIENCE = 20;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $given = $request->headers->get(self::HEADER, '');
        if ($request->isMethodSafe() || ! is_string($given) || $given === '') {
            return $next($request);
        }
        $key = hash('sha256', "{$request->method()} {$request->path()} {$given} ".self::contents($request));
        // Held by the line to the books: it is free again when the process that has it is no more.
        $lock = substr("sent {$key}", 0, 60);
        if (DB::scalar('SELECT GET_LOCK(?, ?)', [$lock, self::PATIENCE]) !== 1) {
            throw ValidationException::withMessages([
                'may' => 'The same form was sent before and is still being carried out. Look in a moment whether it is there.',
            ]);
        }
        try {
            return $this->once($request, $next, $key);
        } finally {
            DB::scalar('SELECT RELEASE_LOCK(?)', [$lock]);
        }
    }

    /** @param  Closure(Request): Response  $next */
    private function once(Request $request, Closure $next, string $key): Response
    {
        DB::table('sent_forms')->insertOrIgnore(['key' => $key, 'sent_at' => now()]);
        if (DB::table('sent_forms')->where('key', $key)->value('done_at') !== null) {
            return redirect()->back(303);
        }
        try {
            $response = $next($request);
        } catch (Throwable $fault) {
            DB::table('sent_forms')->where('key', $key)->delete();
            throw $fault;
        }
        $kept = DB::table('sent_forms')->where('key', $key);
        // What was refused may be sent again, corrected or not.
        $response->getStatusCode() >= 400 || $request->session()->has('errors') ? $kept->delete() : $kept->update(['done_at' => now()]);
        if (random_int(0, 99) === 0) {
            DB::table('sent_forms')->where('sent_at', '<', now()->subHours(self::HOURS))->delete();
        }

        return $response;
    }

    private static function contents(Request $request): string
    {
        $files = $request->allFiles();
        array_walk_recursive($files, function (mixed &$file): void {
            $file = $file instanceof UploadedFile && $file->isValid() ? hash_file('xxh128', $file->getPathname()) : '';
        });

        return hash('sha256', serialize([$request->input(), $files]));
    }
}
