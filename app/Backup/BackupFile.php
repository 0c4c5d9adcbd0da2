<?php

declare(strict_types=1);

namespace App\Backup;

use Closure;
use ErrorException;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Throwable;
use ZipStream\CompressionMethod;
use ZipStream\ZipStream;

/**
 * All books in one file: a ZIP with, for each table, a row of JSON a line (JSON Lines), with bytes that are no text, such as photos,
 * as files of their own, and at its end a manifest with the SHA-256 of each. Written as it is read, in as much memory as one row takes.
 */
final readonly class BackupFile
{
    public const FORMAT = 'gritty-tally-backup';

    /** 1 had bytes that are no text in Base64 among the rest of a row. */
    public const VERSION = 2;

    public const MANIFEST = 'manifest.json';

    /** Rows that are asked of the books at once. */
    private const ROWS = 500;

    /**
     * Written beside, read back, and put in place whole: a backup of before is not lost to one that was cut off.
     *
     * @param  Closure(string, int): void  $done  table and rows, as each is written
     * @return int rows in all
     */
    public static function write(string $path, Closure $done): int
    {
        $beside = "{$path}.part";
        $out = @fopen($beside, 'w');
        if ($out === false) {
            throw new RuntimeException("“{$path}” cannot be written. Give a file in a folder that you may write to.");
        }
        try {
            chmod($beside, 0600);
            $rows = self::pack($out, $done);
            if (! fflush($out) || ! fsync($out) || ! fclose($out)) {
                throw new RuntimeException("“{$path}” cannot be written: is the folder full?");
            }
            Archive::open($beside)->check();
            if (! rename($beside, $path)) {
                throw new RuntimeException("“{$path}” cannot be written: it may not be replaced.");
            }

            return $rows;
        } catch (Throwable $fault) {
            @unlink($beside);
            throw match (true) {
                $fault instanceof NotABackup => new RuntimeException("What was written does not read back: {$fault->getMessage()}"),
                $fault instanceof ErrorException => new RuntimeException("“{$path}” cannot be written: {$fault->getMessage()}"),
                default => $fault,
            };
        }
    }

    /**
     * @param  resource  $out
     * @param  Closure(string, int): void  $done
     */
    private static function pack(mixed $out, Closure $done): int
    {
        $zip = new ZipStream(outputStream: $out, sendHttpHeaders: false, defaultEnableZeroHeader: true);
        $books = new BookTables(DB::connection());
        // One moment for all tables, that of the first row that is read, whatever is entered meanwhile.
        $tables = DB::transaction(function () use ($zip, $books, $done): array {
            $tables = [];
            foreach ($books->names() as $table) {
                $tables[$table] = self::table($zip, $books, $table);
                $done($table, $tables[$table]['rows']);
            }

            return $tables;
        });
        $manifest = [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'made_at' => now()->toIso8601String(),
            'changes' => $books->changes(),
            'tables' => $tables,
        ];
        $zip->addFile(self::MANIFEST, json_encode($manifest, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES));
        $zip->finish();

        return array_sum(array_column($tables, 'rows'));
    }

    /** @return array{rows: int, columns: list<string>, sha256: string, files: array<string, string>} */
    private static function table(ZipStream $zip, BookTables $books, string $table): array
    {
        $columns = $books->columns($table);
        // Its lines are gathered on the disk, since its files go into the archive meanwhile.
        $lines = tmpfile();
        if ($lines === false) {
            throw new RuntimeException('There is no room for temporary files on this machine.');
        }
        $sum = hash_init('sha256');
        $files = [];
        $rows = 0;
        foreach (self::rows($table, array_keys($columns), in_array(true, $columns, true) ? 1 : self::ROWS) as $row) {
            $values = [];
            foreach ($columns as $column => $isBytes) {
                $value = $row[$column] ?? null;
                if ($isBytes && is_string($value)) {
                    $name = "files/{$table}/".++$rows.'-'.$column;
                    $zip->addFile($name, $value, compressionMethod: CompressionMethod::STORE);
                    $files[$name] = hash('sha256', $value);
                    $rows--;
                    $value = $name;
                }
                $values[] = $value;
            }
            $line = json_encode($values, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION)."\n";
            hash_update($sum, $line);
            fwrite($lines, $line) === strlen($line) ||
                throw new RuntimeException('There is no room for temporary files on this machine.');
            $rows++;
        }
        rewind($lines);
        $zip->addFileFromStream("tables/{$table}.jsonl", $lines);
        fclose($lines);

        return ['rows' => $rows, 'columns' => array_keys($columns), 'sha256' => hash_final($sum), 'files' => $files];
    }

    /**
     * As many at once as are asked for, and never all of them: the line to the books would hold them in memory.
     *
     * @param  list<string>  $columns
     * @return iterable<array<mixed>>
     */
    private static function rows(string $table, array $columns, int $atOnce): iterable
    {
        if (in_array('id', $columns, true)) {
            foreach (DB::table($table)->select($columns)->lazyById($atOnce) as $row) {
                yield (array) $row;
            }

            return;
        }
        $ordered = DB::table($table)->select($columns);
        foreach ($columns as $column) {
            $ordered->orderBy($column);
        }
        foreach ($ordered->lazy($atOnce) as $row) {
            yield (array) $row;
        }
    }
}
