<?php

declare(strict_types=1);

namespace App\Tables;

use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Spreadsheet;

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
        $book = new Spreadsheet();
        $sheet = $book->getActiveSheet();
        $sheet->setTitle('Cards');
        [$number, $cells] = [0, 0];
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
