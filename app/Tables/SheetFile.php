<?php

declare(strict_types=1);

namespace App\Tables;

use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Spreadsheet;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;

/** Writes a spreadsheet of one sheet whose cells are all text. */
final readonly class SheetFile
{
    /**
     * @param  iterable<list<string>>  $rows
     *
     * @throws TooManyCells
     */
    public static function write(SheetKind $kind, string $path, iterable $rows): void
    {
        self::writeAll($kind, $path, ['Cards' => $rows]);
    }

    /**
     * @param  iterable<string, iterable<list<string>>>  $sheets  title → rows
     *
     * @throws TooManyCells where all of them together are too much
     */
    public static function writeAll(SheetKind $kind, string $path, iterable $sheets): void
    {
        $book = new Spreadsheet();
        $book->removeSheetByIndex(0);
        $cells = 0;
        foreach ($sheets as $title => $rows) {
            $sheet = new Worksheet($book, $title);
            $book->addSheet($sheet);
            $number = 0;
            foreach ($rows as $row) {
                $number++;
                $cells += count($row);
                if ($cells > TableLimits::CELLS) {
                    throw new TooManyCells(TableLimits::CELLS);
                }
                foreach ($row as $column => $text) {
                    $sheet->getCell([$column + 1, $number])->setValueExplicit(self::plain($text), DataType::TYPE_STRING);
                }
            }
        }
        $book->setActiveSheetIndex(0);
        $writer = $kind->writer($book);
        $writer->setPreCalculateFormulas(false);
        $writer->save($path);
        $book->disconnectWorksheets();
        if ($kind === SheetKind::Ods) {
            OdsText::complete($path);
        }
    }

    /** Characters that XML 1.0 cannot carry at all are left out. Source: XML 1.0, production 2 (Char). */
    private static function plain(string $text): string
    {
        return (string) preg_replace('/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', '', $text);
    }
}
