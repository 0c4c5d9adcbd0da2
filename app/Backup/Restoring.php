<?php

declare(strict_types=1);

namespace App\Backup;

use App\Models\Offload\Offload;
use App\Models\Offload\OffloadState;
use App\Models\People\Role;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use Closure;
use Illuminate\Database\Connection;
use Illuminate\Support\Facades\DB;

/**
 * Puts the books of a backup in the place of those that are there: all of it, or nothing. They are laid out in a database of their own
 * as they were when the backup was made, filled, and brought up to date there; only then do they take the place of the others.
 */
final readonly class Restoring
{
    private function __construct(private Archive $archive) {}

    /**
     * Every part is checked by its hash before anything is replaced.
     *
     * @throws NotABackup
     */
    public static function open(string $path): self
    {
        $archive = Archive::open($path);
        $unknown = array_diff($archive->changes(), array_keys(LaidOut::changes()));
        if ($unknown !== []) {
            throw NotABackup::newer(count($unknown));
        }
        $archive->check();

        return new self($archive);
    }

    public function madeAt(): string
    {
        return $this->archive->madeAt();
    }

    /**
     * @param  Closure(string, int): void  $done  table and rows, as each is put in place
     * @return int rows in all
     *
     * @throws NotABackup where something is going, or where a row of it does not fit
     */
    public function replace(Closure $done): int
    {
        $going =
            Run::query()->whereIn('state', RunState::going())->count() +
            Offload::query()->where('state', '!=', OffloadState::Ended)->count();
        if ($going > 0) {
            throw NotABackup::busy($going);
        }

        return LaidOut::aside(function (LaidOut $aside) use ($done): int {
            $aside->upTo($this->archive->changes());
            (new Filling($aside->books, $this->archive))->all();
            $aside->upToDate();
            self::mustHaveALead($aside->books);

            return self::takePlace($aside->books, $done);
        });
    }

    /** @throws NotABackup */
    private static function mustHaveALead(Connection $books): void
    {
        $leads = $books->table('users')->where('role', Role::Lead->value)->whereNull('disabled_at');
        if (! $leads->exists()) {
            throw NotABackup::nobody();
        }
    }

    /** @param  Closure(string, int): void  $done */
    private static function takePlace(Connection $aside, Closure $done): int
    {
        $from = $aside->getDatabaseName();
        $tables = new BookTables(DB::connection());

        return DB::transaction(function () use ($from, $tables, $done): int {
            $order = $tables->order();
            foreach ($order as $table => $late) {
                foreach ($late as $column) {
                    DB::table($table)->whereNotNull($column)->update([$column => null]);
                }
            }
            foreach (array_reverse(array_keys($order)) as $table) {
                DB::table($table)->delete();
            }
            $rows = 0;
            foreach ($order as $table => $late) {
                $columns = array_keys($tables->columns($table));
                $into = implode(', ', array_map(fn (string $column): string => "`{$column}`", $columns));
                $what = implode(
                    ', ',
                    array_map(fn (string $column): string => in_array($column, $late, true) ? 'NULL' : "`{$column}`", $columns),
                );
                $count = DB::affectingStatement("INSERT INTO `{$table}` ({$into}) SELECT {$what} FROM `{$from}`.`{$table}`");
                $rows += $count;
                $done($table, $count);
            }
            foreach ($order as $table => $late) {
                foreach ($late as $column) {
                    DB::statement(
                        "UPDATE `{$table}` JOIN `{$from}`.`{$table}` AS given USING (id) SET `{$table}`.`{$column}` = given.`{$column}` ".
                            "WHERE given.`{$column}` IS NOT NULL",
                    );
                }
            }

            return $rows;
        });
    }
}
