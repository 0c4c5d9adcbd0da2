<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\Response;

/**
 * Where the books have a replica (DB_READ_HOST), pages are read from it, and none of them is older than the books were when it was asked
 * for: the replica is waited for until it has all of that, and where that takes too long the books themselves are read. Whatever is sent,
 * and whatever is locked, goes by the books alone.
 */
final class ReadFromReplica
{
    /** Seconds. */
    private const PATIENCE = 0.2;

    /** One that was away is not asked again for so many seconds. */
    private const REST = 30;

    private const AWAY = 'replica-away';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $books = DB::connection();
        $hasOne = ! in_array(config('database.connections.replica.host'), ['', null], true);
        $replica = $hasOne && $request->isMethodSafe() ? self::caughtUp($books) : null;
        if ($replica === null) {
            return $next($request);
        }
        $books->setReadPdo($replica->getPdo());
        $books->forgetRecordModificationState();
        try {
            return $next($request);
        } finally {
            $books->setReadPdo(null);
        }
    }

    /** @return Connection|null null where it is away, or has not got by now what the books have */
    private static function caughtUp(Connection $books): ?Connection
    {
        if (Cache::has(self::AWAY)) {
            return null;
        }
        $position = $books->scalar('SELECT @@gtid_binlog_pos');
        try {
            $replica = DB::connection('replica');
            // Books that keep no log of what is written have no replica either, whatever stands at that address.
            $has = is_string($position) && $position !== '' &&
                $replica->scalar('SELECT MASTER_GTID_WAIT(?, ?)', [$position, self::PATIENCE]) === 0;

            return $has ? $replica : null;
        } catch (QueryException $fault) {
            Cache::put(self::AWAY, true, self::REST);
            Log::warning("The replica is away, the books themselves are read: {$fault->getMessage()}");

            return null;
        }
    }
}
