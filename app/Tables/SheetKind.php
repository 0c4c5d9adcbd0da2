<?php

declare(strict_types=1);

namespace App\Tables;

use PhpOffice\PhpSpreadsheet\Reader\BaseReader;
use PhpOffice\PhpSpreadsheet\Reader\Ods as OdsReader;
use PhpOffice\PhpSpreadsheet\Reader\Xlsx as XlsxReader;
use PhpOffice\PhpSpreadsheet\Spreadsheet;
use PhpOffice\PhpSpreadsheet\Writer\BaseWriter;
use PhpOffice\PhpSpreadsheet\Writer\Ods as OdsWriter;
use PhpOffice\PhpSpreadsheet\Writer\Xlsx as XlsxWriter;

/** The spreadsheets that are read and written. Source: ECMA-376 part 1 (Office Open XML); OASIS OpenDocument 1.3. */
enum SheetKind
{
    case Xlsx;
    case Ods;

    /** @param  list<string>  $entries  names of what is in the package */
    public static function of(array $entries): ?self
    {
        return match (true) {
            in_array('xl/workbook.xml', $entries, true) => self::Xlsx,
            in_array('content.xml', $entries, true) => self::Ods,
            default => null,
        };
    }

    public function reader(): BaseReader
    {
        if ($this === self::Xlsx) {
            // Days are told by the style of their cell, so it reads styles too.
            return new XlsxReader();
        }
        $reader = new OdsReader();
        $reader->setReadDataOnly(true);
        $reader->getSecurityScannerOrThrow()->setAdditionalCallback(OdsText::toRead(...));

        return $reader;
    }

    public function writer(Spreadsheet $book): BaseWriter
    {
        return $this === self::Xlsx ? new XlsxWriter($book) : new OdsWriter($book);
    }
}
