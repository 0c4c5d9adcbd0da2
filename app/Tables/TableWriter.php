<?php

declare(strict_types=1);

namespace App\Tables;

use RuntimeException;

/** Writes a table of text to a file, in one of three open formats. No cell of it is ever a formula. */
enum TableWriter: string
{
    case Csv = 'csv';
    case Xlsx = 'xlsx';
    case Ods = 'ods';

    /**
     * @param  iterable<list<string>>  $rows  the headings first
     *
     * @throws TooManyCells only a spreadsheet; text may be of any length
     */
    public function write(string $path, iterable $rows): void
    {
        $neutral = (function () use ($rows): iterable {
            foreach ($rows as $row) {
                yield array_map(Neutral::out(...), $row);
            }
        })();
        match ($this) {
            self::Csv => self::csv($path, $neutral),
            self::Xlsx => SheetFile::write(SheetKind::Xlsx, $path, $neutral),
            self::Ods => SheetFile::write(SheetKind::Ods, $path, $neutral),
        };
    }

    public function type(): string
    {
        return match ($this) {
            self::Csv => 'text/csv; charset=utf-8',
            self::Xlsx => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
            self::Ods => 'application/vnd.oasis.opendocument.spreadsheet',
        };
    }

    /** @param  iterable<list<string>>  $rows */
    private static function csv(string $path, iterable $rows): void
    {
        $file = fopen($path, 'w');
        if ($file === false) {
            throw new RuntimeException("{$path} cannot be written.");
        }
        // The mark by which spreadsheets know UTF-8.
        fwrite($file, "\xEF\xBB\xBF");
        foreach ($rows as $row) {
            fputcsv($file, $row, ',', '"', '');
        }
        fclose($file);
    }
}
