<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use PDO;

/** Fills empty books from a backup, in pieces that the line to them carries; what does not fit is told by its row and column. */
final readonly class Filling
{
    /** Rows, and bytes of them, that go in one piece. */
    private const ROWS = 200;

    private const BYTES = 1 << 20;

    public function __construct(private Connection $books, private Archive $archive) {}

    /** @throws NotABackup */
    public function all(): void
    {
        $tables = new BookTables($this->books);
        $given = $this->archive->tables();
        $order = $tables->order();
        $more = array_diff($given, array_keys($order), BookTables::OF_THE_MOMENT);
        $missing = array_diff(array_keys($order), $given);
        if ($more !== [] || $missing !== []) {
            throw NotABackup::otherTables(array_values($missing), array_values($more));
        }
        // What a change had put there itself is in the file too.
        foreach (array_reverse(array_keys($order)) as $table) {
            $this->books->table($table)->delete();
        }
        foreach ($order as $table => $late) {
            $this->table($table, $late, $tables->columns($table));
        }
        foreach (array_filter($order) as $table => $late) {
            $this->fillIn($table, $late, $tables->columns($table));
        }
    }

    /**
     * @param  list<string>  $late
     * @param  array<string, bool>  $columns
     */
    private function table(string $table, array $late, array $columns): void
    {
        $piece = [];
        $bytes = 0;
        foreach ($this->rows($table, $columns) as $number => $row) {
            $row = [...$row, ...array_fill_keys($late, null)];
            $size = array_sum(array_map(fn (mixed $value): int => is_string($value) ? strlen($value) : 8, $row));
            if ($piece !== [] && ($bytes + $size > self::BYTES || count($piece) === self::ROWS)) {
                $this->insert($table, $piece);
                [$piece, $bytes] = [[], 0];
            }
            $piece[$number] = $row;
            $bytes += $size;
        }
        $this->insert($table, $piece);
    }

    /** @param  array<int, array<string, mixed>>  $piece */
    private function insert(string $table, array $piece): void
    {
        if ($piece === []) {
            return;
        }
        try {
            $this->put($table, array_values($piece));
        } catch (QueryException $fault) {
            // Which of them it was.
            foreach (count($piece) === 1 ? [] : $piece as $number => $row) {
                $this->insert($table, [$number => $row]);
            }
            throw NotABackup::row($table, array_key_first($piece), self::column($fault), self::words($fault));
        }
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function put(string $table, array $rows): void
    {
        $pdo = $this->books->getPdo();
        // The server takes bytes as they are then, and not twice as many written out in the question.
        $before = $pdo->getAttribute(PDO::ATTR_EMULATE_PREPARES);
        $pdo->setAttribute(PDO::ATTR_EMULATE_PREPARES, false);
        try {
            $this->books->table($table)->insert($rows);
        } finally {
            $pdo->setAttribute(PDO::ATTR_EMULATE_PREPARES, $before);
        }
    }

    /**
     * @param  list<string>  $late
     * @param  array<string, bool>  $columns
     */
    private function fillIn(string $table, array $late, array $columns): void
    {
        foreach ($this->rows($table, $columns) as $number => $row) {
            $given = array_filter(array_intersect_key($row, array_flip($late)), fn (mixed $value): bool => $value !== null);
            if ($given !== []) {
                try {
                    $this->books->table($table)->where('id', $row['id'] ?? null)->update($given);
                } catch (QueryException $fault) {
                    throw NotABackup::row($table, $number, self::column($fault), self::words($fault));
                }
            }
        }
    }

    /**
     * @param  array<string, bool>  $columns
     * @return iterable<int, array<string, mixed>>
     */
    private function rows(string $table, array $columns): iterable
    {
        $given = $this->archive->columns($table) ?? array_keys($columns);
        $unknown = array_diff($given, array_keys($columns));
        if ($unknown !== []) {
            throw NotABackup::row($table, 0, reset($unknown), 'The table has no such column.');
        }

        return $this->archive->rows($table, $given, $columns);
    }

    /** The server names it in what it says, and nowhere else. */
    private static function column(QueryException $fault): ?string
    {
        $names = '/FOREIGN KEY \(`(\w+)`\)|[Cc]olumn (?:\S+\.)?[\'`](\w+)[\'`]|CONSTRAINT `\w+\.(\w+)`/';

        return preg_match($names, $fault->getMessage(), $found) === 1
            ? implode('', array_slice($found, 1))
            : null;
    }

    private static function words(QueryException $fault): string
    {
        $number = $fault->errorInfo[1] ?? null;

        return match ($number) {
            1452, 1216 => 'It refers to a row that is not in the file.',
            1062, 1586 => 'It is there twice.',
            1048, 1364 => 'It is empty, and may not be.',
            1406, 1264 => 'It is longer or larger than there is room for.',
            default => 'It does not fit: '.mb_substr(is_string($said = $fault->errorInfo[2] ?? null) ? $said : '', 0, 200).'.',
        };
    }
}
