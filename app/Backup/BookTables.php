<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;
use stdClass;

/** The tables that are the books: all but what the framework keeps for the moment. */
final readonly class BookTables
{
    private const OF_THE_MOMENT = [
        'migrations', 'cache', 'cache_locks', 'jobs', 'job_batches', 'failed_jobs', 'sessions', 'password_reset_tokens',
    ];

    /** @return list<string> by name */
    public static function names(): array
    {
        $all = DB::select('SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY table_name');
        $names = [];
        foreach ($all as $row) {
            if ($row instanceof stdClass && is_string($row->name) && ! in_array($row->name, self::OF_THE_MOMENT, true)) {
                $names[] = $row->name;
            }
        }

        return $names;
    }

    /** @return array<string, bool> column → whether it holds bytes that are no text */
    public static function columns(string $table): array
    {
        $rows = DB::select(
            'SELECT column_name AS name, data_type AS type FROM information_schema.columns '.
                "WHERE table_schema = DATABASE() AND table_name = ? AND extra NOT LIKE '%GENERATED%' ORDER BY ordinal_position",
            [$table],
        );
        $columns = [];
        foreach ($rows as $row) {
            if ($row instanceof stdClass && is_string($row->name) && is_string($row->type)) {
                $columns[$row->name] = str_contains($row->type, 'blob') || str_contains($row->type, 'binary');
            }
        }

        return $columns;
    }

    /** @return list<string> changes that these books have been through */
    public static function changes(): array
    {
        return array_values(array_filter(DB::table('migrations')->orderBy('id')->pluck('migration')->all(), is_string(...)));
    }
}
