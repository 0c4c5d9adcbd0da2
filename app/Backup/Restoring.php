<?php

declare(strict_types=1);

namespace App\Backup;

use App\Models\Offload\Offload;
use App\Models\Offload\OffloadState;
use App\Models\Runs\Run;
use App\Runs\RunState;
use Illuminate\Support\Facades\DB;
use Tally\Record\Fields;
use Tally\Record\NotUsable;
use ZipArchive;

/** Puts the books of a backup in the place of those that are there: all of it, or nothing. */
final readonly class Restoring
{
    private const CHUNK = 100;

    private function __construct(private ZipArchive $zip, private Fields $manifest) {}

    /**
     * Every part is checked by its hash before anything is replaced.
     *
     * @throws NotABackup
     */
    public static function open(string $path): self
    {
        $zip = new ZipArchive();
        if (! is_file($path) || $zip->open($path, ZipArchive::RDONLY) !== true) {
            throw NotABackup::unreadable($path);
        }
        $manifest = json_decode((string) $zip->getFromName(BackupFile::MANIFEST), true);
        $fields = new Fields(is_array($manifest) ? $manifest : []);
        try {
            $isOurs = $fields->text('format', '') === BackupFile::FORMAT && $fields->integer('version', 0) === BackupFile::VERSION;
        } catch (NotUsable) {
            $isOurs = false;
        }
        $backup = new self($zip, $isOurs ? $fields : throw NotABackup::otherKind($path));
        $backup->check();

        return $backup;
    }

    public function madeAt(): string
    {
        return $this->manifest->text('made_at', '');
    }

    /**
     * @param  callable(string, int): void  $done  table and rows, as each is put in place
     * @return int rows in all
     *
     * @throws NotABackup where something is going
     */
    public function replace(callable $done): int
    {
        $going =
            Run::query()->whereIn('state', RunState::going())->count() +
            Offload::query()->where('state', '!=', OffloadState::Ended)->count();
        if ($going > 0) {
            throw NotABackup::busy($going);
        }

        return DB::transaction(function () use ($done): int {
            DB::statement('SET FOREIGN_KEY_CHECKS = 0');
            try {
                $rows = 0;
                foreach (BookTables::names() as $table) {
                    DB::table($table)->delete();
                    $count = $this->fill($table);
                    $rows += $count;
                    $done($table, $count);
                }

                return $rows;
            } finally {
                DB::statement('SET FOREIGN_KEY_CHECKS = 1');
            }
        });
    }

    /** @throws NotABackup */
    private function check(): void
    {
        $changes = $this->manifest->texts('changes');
        $known = BookTables::changes();
        if ($changes !== $known) {
            throw NotABackup::otherBooks(count(array_diff($changes, $known)), count(array_diff($known, $changes)));
        }
        foreach (BookTables::names() as $table) {
            $stream = $this->zip->getStream("tables/{$table}.jsonl");
            $hash = hash_init('sha256');
            if ($stream === false) {
                throw NotABackup::damaged($table);
            }
            hash_update_stream($hash, $stream);
            fclose($stream);
            $expected = $this->manifest->fields('tables')->fields($table)->text('sha256', '');
            if (hash_final($hash) !== $expected) {
                throw NotABackup::damaged($table);
            }
        }
    }

    private function fill(string $table): int
    {
        $columns = BookTables::columns($table);
        $stream = $this->zip->getStream("tables/{$table}.jsonl");
        $rows = [];
        $count = 0;
        while ($stream !== false && ($line = fgets($stream)) !== false) {
            $values = json_decode($line, true);
            $row = array_combine(array_keys($columns), is_array($values) ? array_values($values) : throw NotABackup::damaged($table));
            foreach ($columns as $column => $isBytes) {
                $row[$column] = $isBytes && is_string($row[$column]) ? base64_decode($row[$column], true) : $row[$column];
            }
            $rows[] = $row;
            if (count($rows) === self::CHUNK) {
                DB::table($table)->insert($rows);
                $rows = [];
            }
            $count++;
        }
        DB::table($table)->insert($rows);

        return $count;
    }
}
