<?php

declare(strict_types=1);

namespace App\Tables;

use App\Models\When;
use Generator;
use PhpOffice\PhpSpreadsheet\Cell\Cell;
use PhpOffice\PhpSpreadsheet\Cell\Coordinate;
use PhpOffice\PhpSpreadsheet\Cell\DataType;
use PhpOffice\PhpSpreadsheet\Reader\IReadFilter;
use PhpOffice\PhpSpreadsheet\RichText\RichText;
use PhpOffice\PhpSpreadsheet\Shared\Date;
use PhpOffice\PhpSpreadsheet\Worksheet\Worksheet;
use Throwable;

/** Rows of the first sheet of a spreadsheet, as the text that stands in its cells: what was typed, not how it is shown. */
final readonly class SheetRows implements IReadFilter
{
    private function __construct() {}

    /**
     * @param  string  $name  as its owner calls it, for sentences
     * @return Generator<int, list<string>> row number in the sheet, from 1 → cells; rows without any text are left out
     *
     * @throws NotATable
     */
    public static function of(string $path, string $name): Generator
    {
        $kind = Package::checked($path, $name);
        // The library warns of everything that a sheet leaves out; its rows can be read all the same.
        set_error_handler(fn (): bool => true, E_WARNING | E_NOTICE | E_DEPRECATED);
        try {
            $reader = $kind->reader();
            $reader->setReadFilter(new self())->setReadEmptyCells(false);
            $reader->setLoadSheetsOnly([...array_slice($reader->listWorksheetNames($path), 0, 1)]);
            $sheet = $reader->load($path)->getSheet(0);
        } catch (Throwable $fault) {
            // Whatever a foreign file makes the library say, the file cannot be read.
            throw NotATable::broken($name, $fault);
        } finally {
            restore_error_handler();
        }
        yield from self::rows($sheet, $name);
    }

    /** One row and one column more than are taken, so that it is seen that there are more. */
    public function readCell(string $columnAddress, int $row, string $worksheetName = ''): bool
    {
        return $row <= TableLimits::ROWS + 2 && Coordinate::columnIndexFromString($columnAddress) <= TableLimits::COLUMNS + 1;
    }

    /** @return Generator<int, list<string>> */
    private static function rows(Worksheet $sheet, string $name): Generator
    {
        $cells = $sheet->getCellCollection();
        $count = 0;
        [$number, $row] = [0, []];
        foreach ($cells->getSortedCoordinates() as $coordinate) {
            $cell = $sheet->getCell($coordinate);
            if (++$count > TableLimits::CELLS) {
                throw NotATable::tooManyCells($name, TableLimits::CELLS);
            }
            if ($cell->getRow() !== $number) {
                yield from self::filled($number, $row);
                [$number, $row] = [$cell->getRow(), []];
            }
            $row[Coordinate::columnIndexFromString($cell->getColumn()) - 1] = self::typed($cell);
        }
        yield from self::filled($number, $row);
    }

    /**
     * @param  array<int, string>  $row  column from 0 → text
     * @return array<int, list<string>>
     */
    private static function filled(int $number, array $row): array
    {
        $row = array_filter($row, fn (string $text): bool => trim($text) !== '');

        return $row === [] ? [] : [$number => array_map(fn (int $column): string => $row[$column] ?? '', range(0, max(array_keys($row))))];
    }

    private static function typed(Cell $cell): string
    {
        $isFormula = $cell->getDataType() === DataType::TYPE_FORMULA;
        // What a foreign formula comes to is taken from the file; nothing of it is reckoned here.
        $value = $isFormula ? $cell->getOldCalculatedValue() : $cell->getValue();

        return match (true) {
            $cell->getDataType() === DataType::TYPE_ERROR => '',
            $value instanceof RichText => $value->getPlainText(),
            is_bool($value) => $value ? 'yes' : 'no',
            is_int($value), is_float($value) => self::number($cell, $value),
            is_string($value) => $value,
            default => '',
        };
    }

    /** What was typed as 0.35 may be kept as 0.34999999999999998. */
    private static function number(Cell $cell, int|float $value): string
    {
        if (Date::isDateTimeFormat($cell->getStyle()->getNumberFormat())) {
            return $value < 1 || $value > 200_000 ? '' : Date::excelToDateTimeObject($value)->format(When::ISO_DAY);
        }

        return is_int($value) ? (string) $value : rtrim(rtrim(sprintf('%.10F', $value), '0'), '.');
    }
}
