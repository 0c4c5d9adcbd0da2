<?php

declare(strict_types=1);

namespace Tests\Reference;

use App\Tables\TableReader;
use App\Tables\TableWriter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\TemporaryFolder;

/** Our reading and writing of spreadsheets against a general-purpose library, SheetJS CE from npm. */
final class SpreadsheetTest extends TestCase
{
    use TemporaryFolder;

    /** @return iterable<string, array{string}> */
    public static function formats(): iterable
    {
        yield 'XLSX' => ['xlsx'];
        yield 'ODS' => ['ods'];
        yield 'CSV' => ['csv'];
    }

    /**
     * @param  list<string>  $words
     * @return array<mixed>
     */
    private static function node(array $words, string $input = ''): array
    {
        $process = proc_open(['node', __DIR__.'/node/spreadsheet.cjs', ...$words], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $said = (string) stream_get_contents($pipes[1]);
        $complaint = (string) stream_get_contents($pipes[2]);
        self::assertSame(0, proc_close($process), $complaint);

        return (array) json_decode($said, true);
    }

    #[DataProvider('formats')]
    public function test_what_we_write_is_read_alike_elsewhere(string $format): void
    {
        $rows = [['Tag', 'Maker and series'], ['QS-1', "Brøndby & <Sons>, „Küste“\u{2009}2"], ['', ' two  spaces '], ['QS-3', '128']];
        $path = "{$this->folder()}/cards.{$format}";
        TableWriter::from($format)->write($path, $rows);
        $read = self::node(['read', $path]);
        self::assertSame($rows, $read['rows']);
    }

    public function test_spaces_line_ends_and_characters_that_xml_cannot_carry(): void
    {
        foreach ([TableWriter::Xlsx, TableWriter::Ods] as $writer) {
            $path = "{$this->folder()}/signs.{$writer->value}";
            $writer->write($path, [['Tag', 'Note'], ["a\x00\tb\x0B\n\u{1F4BE}\u{FFFE}", "  two\n  lines & more "]]);
            $expected = ["a\tb\n\u{1F4BE}", "  two\n  lines & more "];
            self::assertSame($expected, ((array) self::node(['read', $path])['rows'])[1], $writer->name);
            self::assertSame(array_map(trim(...), $expected), iterator_to_array(TableReader::rows($path, 'signs'))[2], $writer->name);
        }
    }

    #[DataProvider('formats')]
    public function test_no_cell_we_write_is_a_formula_elsewhere(string $format): void
    {
        $path = "{$this->folder()}/cards.{$format}";
        TableWriter::from($format)->write($path, [
            ['Name'],
            ['=1+1'],
            ['+1'],
            ['-1'],
            ['@SUM(A1)'],
            ["\t=1"],
            ['=HYPERLINK("http://x";"y")'],
        ]);
        $read = self::node(['read', $path]);
        self::assertSame(0, $read['formulas']);
        foreach (array_slice((array) $read['rows'], 1) as $row) {
            self::assertIsArray($row);
            self::assertIsString($row[0]);
            self::assertStringStartsWith("'", $row[0]);
        }
    }

    #[DataProvider('formats')]
    public function test_what_is_written_elsewhere_is_read_by_us(string $format): void
    {
        $path = "{$this->folder()}/cards.{$format}";
        self::node(
            ['make', $path],
            (string) json_encode([
                ['Tag', 'Capacity', 'Price', 'Bought on', 'Name'],
                ['QS-1', 128, 24.9, 'date 2026-11-25', 'Marrowick'],
                [],
                ['QS-2', 1000, 0.35, 'date 2025-02-28', 'Marrowick'],
                ['QS-3', '64 GB', '', '', "two\nlines & <more>"],
            ]),
        );
        $rows = iterator_to_array(TableReader::rows($path, "cards.{$format}"));
        self::assertSame([1, 2, 4, 5], array_keys($rows));
        self::assertSame(['Tag', 'Capacity', 'Price', 'Bought on', 'Name'], $rows[1]);
        self::assertSame(['QS-1', '128', '24.9', '2026-11-25', 'Marrowick'], $rows[2]);
        self::assertSame(['QS-2', '1000', '0.35', '2025-02-28', 'Marrowick'], $rows[4]);
        self::assertSame("two\nlines & <more>", $rows[5][4]);
    }
}
