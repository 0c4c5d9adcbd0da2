<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Database\Connection;
use stdClass;

/** The tables that are the books: all but what is kept for the moment; and in which order they can be filled. */
final readonly class BookTables
{
    public const OF_THE_MOMENT = [
        'migrations', 'cache', 'cache_locks', 'jobs', 'job_batches', 'failed_jobs', 'sessions', 'password_reset_tokens', 'sign_in_tries',
        'once_addresses', 'bench_questions', 'waiting_tables', 'long_questions',
    ];

    public function __construct(private Connection $books) {}

    /**
     * A table comes after those that it refers to. Where they refer to each other in a ring, a column that may be empty is left so
     * at first.
     *
     * @return array<string, list<string>> table → columns that are filled in when all tables are there
     */
    public function order(): array
    {
        $refers = $this->references();
        $left = $this->names();
        $order = [];
        while ($left !== []) {
            $isLeft = fn (array $column): bool => in_array($column['to'], $left, true);
            $free = fn (string $table, bool $mayBeEmpty): bool => array_filter(
                $refers[$table] ?? [],
                fn (array $column): bool => $column['to'] !== $table && $isLeft($column) && (! $mayBeEmpty || ! $column['empty']),
            ) === [];
            $next =
                array_values(array_filter($left, fn (string $table): bool => $free($table, false)))[0] ??
                (array_values(array_filter($left, fn (string $table): bool => $free($table, true)))[0] ?? $left[0]);
            $late = array_filter($refers[$next] ?? [], fn (array $column): bool => $isLeft($column) && $column['empty']);
            $order[$next] = array_values(array_map(fn (array $column): string => $column['column'], $late));
            $left = array_values(array_diff($left, [$next]));
        }

        return $order;
    }

    /** @return list<string> by name */
    public function names(): array
    {
        $all = $this->books->select(
            "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE' ".
                'ORDER BY table_name',
        );

        return array_values(array_diff(array_map(self::name(...), $all), self::OF_THE_MOMENT));
    }

    /** @return array<string, bool> column → whether it holds bytes that are no text */
    public function columns(string $table): array
    {
        $rows = $this->books->select(
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
    public function changes(): array
    {
        $changes = $this->books->table('migrations')->orderBy('id')->pluck('migration')->all();

        return array_values(array_filter($changes, is_string(...)));
    }

    /** @return array<string, list<array{column: string, to: string, empty: bool}>> table → columns that refer to another */
    private function references(): array
    {
        $rows = $this->books->select(
            'SELECT k.table_name AS name, k.column_name AS col, k.referenced_table_name AS target, c.is_nullable AS empty '.
                'FROM information_schema.key_column_usage k '.
                'JOIN information_schema.columns c USING (table_schema, table_name, column_name) '.
                'WHERE k.table_schema = DATABASE() AND k.referenced_table_name IS NOT NULL',
        );
        $references = [];
        foreach ($rows as $row) {
            if ($row instanceof stdClass && is_string($row->name) && is_string($row->col) && is_string($row->target)) {
                $references[$row->name][] = ['column' => $row->col, 'to' => $row->target, 'empty' => $row->empty === 'YES'];
            }
        }

        return $references;
    }

    private static function name(mixed $row): string
    {
        return $row instanceof stdClass && is_string($row->name) ? $row->name : '';
    }
}
