<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\Cards\Card;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Demo data is made once for all tests of a process that ask for the same; the others are given its rows. */
trait SeedsOnce
{
    /** @var array<string, array<string, list<array<mixed>>>> by seeders: table → rows */
    private static array $seeded = [];

    /** @param  list<string>|string  $class */
    public function seed($class = 'Database\\Seeders\\DatabaseSeeder')
    {
        $key = implode(' ', (array) $class);
        $isFresh = Card::query()->doesntExist() && ! Date::hasTestNow();
        if (! $isFresh) {
            return parent::seed($class);
        }
        if (isset(self::$seeded[$key])) {
            self::lay(self::$seeded[$key]);

            return $this;
        }
        parent::seed($class);
        foreach (Schema::getTableListing(DB::connection()->getDatabaseName(), false) as $table) {
            self::$seeded[$key][$table] = array_map(get_object_vars(...), array_values(DB::table($table)->get()->all()));
        }

        return $this;
    }

    /** @param  array<string, list<array<mixed>>>  $tables */
    private static function lay(array $tables): void
    {
        Schema::withoutForeignKeyConstraints(function () use ($tables): void {
            foreach ($tables as $table => $rows) {
                DB::table($table)->delete();
                foreach (array_chunk($rows, 200) as $chunk) {
                    DB::table($table)->insert($chunk);
                }
            }
        });
    }
}
