<?php

declare(strict_types=1);

namespace App\Backup;

use Closure;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** Books in a database of their own beside the others, laid out as of any change that is known; gone afterwards. */
final readonly class LaidOut
{
    private const NAME = 'aside';

    private function __construct(public Connection $books) {}

    /**
     * @template T
     *
     * @param  Closure(self): T  $do
     * @return T
     *
     * @throws NotABackup
     */
    public static function aside(Closure $do): mixed
    {
        $usual = DB::getDefaultConnection();
        $name = DB::connection()->getDatabaseName().'_aside';
        // By a line of its own, so that nothing that goes on here is committed by it.
        $books = DB::connectUsing(self::NAME, [...config()->array("database.connections.{$usual}")]);
        try {
            // Whoever still looks into one of before is not waited for without end.
            $books->unprepared('SET SESSION lock_wait_timeout = 20');
            $books->unprepared("DROP DATABASE IF EXISTS `{$name}`");
            $books->unprepared("CREATE DATABASE `{$name}` CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
            config(['database.connections.'.self::NAME => [...config()->array("database.connections.{$usual}"), 'database' => $name]]);
            DB::purge(self::NAME);

            return $do(new self(DB::connection(self::NAME)));
        } catch (QueryException $fault) {
            throw ($fault->errorInfo[1] ?? null) === 1044 ? NotABackup::mayNotMakeRoom($name) : $fault;
        } finally {
            DB::connection(self::NAME)->unprepared("DROP DATABASE IF EXISTS `{$name}`");
            DB::purge(self::NAME);
        }
    }

    /** @return array<string, string> change → its file, in order */
    public static function changes(): array
    {
        $changes = [];
        foreach ((array) glob(database_path('migrations/*.php')) as $file) {
            $changes[basename((string) $file, '.php')] = (string) $file;
        }

        return $changes;
    }

    /** @param  list<string>  $changes */
    public function upTo(array $changes): void
    {
        $this->run(array_values(array_intersect_key(self::changes(), array_flip($changes))));
    }

    public function upToDate(): void
    {
        $this->run(array_values(self::changes()));
    }

    /** @param  list<string>  $files */
    private function run(array $files): void
    {
        $migrator = app('migrator');
        $migrator->usingConnection(self::NAME, function () use ($migrator, $files): void {
            if (! $migrator->repositoryExists()) {
                $migrator->getRepository()->createRepository();
            }
            $migrator->run($files);
        });
    }
}
