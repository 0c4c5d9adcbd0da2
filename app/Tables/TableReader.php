<?php

declare(strict_types=1);

namespace App\Tables;

use Generator;

/** Reads a table of any of the kinds that are taken, told by what is in the file and not by its name. */
final readonly class TableReader
{
    /**
     * @param  string  $name  as its owner calls it, for sentences
     * @return Generator<int, list<string>> row number in the sheet, from 1 → cells; rows without any text are left out
     *
     * @throws NotATable
     */
    public static function rows(string $path, string $name): Generator
    {
        $size = @filesize($path);
        if ($size === false) {
            throw NotATable::unreadable($name);
        }
        if ($size > TableLimits::BYTES) {
            throw NotATable::tooLarge($name, $size, TableLimits::BYTES);
        }
        $begin = (string) file_get_contents($path, length: 4);
        $rows = $begin === "PK\x03\x04" ? SheetRows::of($path, $name) : CsvRows::of($path, $name);
        $count = 0;
        foreach ($rows as $number => $cells) {
            if (++$count > TableLimits::ROWS + 1) {
                throw NotATable::tooManyRows($name, TableLimits::ROWS);
            }
            if (count($cells) > TableLimits::COLUMNS) {
                throw NotATable::tooWide($name, TableLimits::COLUMNS);
            }
            yield $number => array_map(self::cut(...), $cells);
        }
    }

    /** A cell of megabytes is not gone through to its end for its first letters. */
    private static function cut(string $cell): string
    {
        return mb_substr(trim(mb_strcut($cell, 0, TableLimits::CELL * 16)), 0, TableLimits::CELL);
    }
}
