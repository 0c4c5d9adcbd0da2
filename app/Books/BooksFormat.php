<?php

declare(strict_types=1);

namespace App\Books;

/** As what books go out. */
enum BooksFormat: string
{
    case Csv = 'csv';
    case Xlsx = 'xlsx';
    case Ods = 'ods';
    case Json = 'json';

    public function words(): string
    {
        return match ($this) {
            self::Csv => 'CSV, a file for each book',
            self::Xlsx => 'XLSX, a sheet for each book',
            self::Ods => 'ODS, a sheet for each book',
            self::Json => 'JSON, for programs',
        };
    }
}
