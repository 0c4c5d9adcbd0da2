<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;
use RuntimeException;
use ZipArchive;

/**
 * All books in one file: a ZIP with a manifest and, for each table, a row of JSON a line (JSON Lines); bytes that are no text in
 * Base64. The manifest has the SHA-256 of each, so that a damaged file is refused before anything is replaced.
 */
final readonly class BackupFile
{
    public const FORMAT = 'gritty-tally-backup';

    public const VERSION = 1;

    public const MANIFEST = 'manifest.json';

    /**
     * @param  callable(string, int): void  $done  table and rows, as each is written
     * @return int rows in all
     */
    public static function write(string $path, callable $done): int
    {
        $folder = sys_get_temp_dir().'/tally-backup-'.bin2hex(random_bytes(6));
        mkdir($folder, 0700);
        try {
            return self::pack($path, $folder, $done);
        } finally {
            foreach ((array) glob("{$folder}/*") as $part) {
                unlink((string) $part);
            }
            rmdir($folder);
        }
    }

    /** @param  callable(string, int): void  $done */
    private static function pack(string $path, string $folder, callable $done): int
    {
        $zip = new ZipArchive();
        // Written beside, and put in place whole: a backup of before is not lost to one that was cut off.
        $beside = "{$path}.part";
        if (! is_writable(dirname($path)) || $zip->open($beside, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException("“{$path}” cannot be written. Give a file in a folder that you may write to.");
        }
        // One moment for all tables, that of the first row that is read, whatever is entered meanwhile.
        $tables = DB::transaction(function () use ($folder, $done): array {
            $tables = [];
            foreach (BookTables::names() as $table) {
                $rows = self::table($table, "{$folder}/{$table}.jsonl");
                $tables[$table] = ['rows' => $rows, 'sha256' => hash_file('sha256', "{$folder}/{$table}.jsonl")];
                $done($table, $rows);
            }

            return $tables;
        });
        foreach (array_keys($tables) as $table) {
            $zip->addFile("{$folder}/{$table}.jsonl", "tables/{$table}.jsonl");
        }
        $manifest = [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'made_at' => now()->toIso8601String(),
            'changes' => BookTables::changes(),
            'tables' => $tables,
        ];
        $zip->addFromString(self::MANIFEST, json_encode($manifest, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES));
        if (! @$zip->close() || ! rename($beside, $path)) {
            throw new RuntimeException("“{$path}” cannot be written: the folder is full, or may not be written to.");
        }

        return array_sum(array_column($tables, 'rows'));
    }

    private static function table(string $table, string $path): int
    {
        $columns = BookTables::columns($table);
        $file = fopen($path, 'w');
        if ($file === false) {
            throw new RuntimeException("{$path} cannot be written.");
        }
        $rows = 0;
        foreach (DB::table($table)->select(array_keys($columns))->orderBy((string) array_key_first($columns))->cursor() as $row) {
            $values = [];
            foreach ((array) $row as $column => $value) {
                $values[] = ($columns[$column] ?? false) && is_string($value) ? base64_encode($value) : $value;
            }
            fwrite($file, json_encode($values, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION)."\n");
            $rows++;
        }
        fclose($file);

        return $rows;
    }
}
