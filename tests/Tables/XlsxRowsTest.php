<?php

declare(strict_types=1);

namespace Tests\Tables;

use App\Tables\NotATable;
use App\Tables\TableReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\TemporaryFolder;
use ZipArchive;

/** Workbooks as other programs write them. Source: ECMA-376 part 1, SpreadsheetML. */
final class XlsxRowsTest extends TestCase
{
    use TemporaryFolder;

    private const MAIN = 'xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" '.
        'xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"';

    /** @param  array<string, array{string, string}>  $targets  id → kind of relation, entry */
    private static function relations(array $targets): string
    {
        $all = '';
        foreach ($targets as $id => [$kind, $entry]) {
            $type = "http://schemas.openxmlformats.org/officeDocument/2006/relationships/{$kind}";
            $all .= "<Relationship Id=\"{$id}\" Type=\"{$type}\" Target=\"{$entry}\"/>";
        }

        return "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">{$all}</Relationships>";
    }

    /** @param  array<string, string>  $more  entries of the package */
    private function workbook(string $rows, array $more = []): string
    {
        $path = $this->folder().'/book.xlsx';
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::CREATE);
        $entries = [
            '_rels/.rels' => self::relations(['rId1' => ['officeDocument', 'xl/workbook.xml']]),
            'xl/workbook.xml' => '<workbook '.
                self::MAIN.
                '><sheets><sheet name="Cards" sheetId="1" r:id="rId7"/><sheet name="Other" sheetId="2" r:id="rId8"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' => self::relations([
                'rId8' => ['worksheet', 'worksheets/other.xml'],
                'rId7' => ['worksheet', 'worksheets/cards.xml'],
                'rId1' => ['sharedStrings', 'sharedStrings.xml'],
                'rId2' => ['styles', 'styles.xml'],
            ]),
            'xl/worksheets/cards.xml' => '<worksheet '.self::MAIN."><sheetData>{$rows}</sheetData></worksheet>",
            'xl/worksheets/other.xml' => '<worksheet '.self::MAIN.'><sheetData><row><c><v>5</v></c></row></sheetData></worksheet>',
            'xl/sharedStrings.xml' => '<sst '.self::MAIN.'/>',
            'xl/styles.xml' => '<styleSheet '.self::MAIN.'/>',
            ...$more,
        ];
        foreach ($entries as $name => $bytes) {
            $zip->addFromString($name, $bytes);
        }
        $zip->close();

        return $path;
    }

    /**
     * @param  array<string, string>  $more
     * @return array<int, list<string>>
     */
    private function rows(string $rows, array $more = []): array
    {
        return iterator_to_array(TableReader::rows($this->workbook($rows, $more), 'book.xlsx'));
    }

    public function test_the_first_sheet_is_found_by_its_relation(): void
    {
        self::assertSame([1 => ['here']], $this->rows('<row r="1"><c r="A1" t="inlineStr"><is><t>here</t></is></c></row>'));
    }

    public function test_gaps_between_cells_and_rows_keep_their_places(): void
    {
        $rows = $this->rows(
            '<row r="2"><c r="B2"><v>7</v></c><c r="D2"><v>9</v></c></row><row r="3"></row><row r="5"><c r="A5"><v>1</v></c></row>',
        );
        self::assertSame([2 => ['', '7', '', '9'], 5 => ['1']], $rows);
    }

    public function test_cells_without_references_stand_one_after_another(): void
    {
        self::assertSame([1 => ['1', '2'], 2 => ['3']], $this->rows('<row><c><v>1</v></c><c><v>2</v></c></row><row><c><v>3</v></c></row>'));
    }

    public function test_shared_text_may_be_in_several_pieces(): void
    {
        $shared =
            '<sst '.self::MAIN.'><si><t>plain</t></si><si><r><t>two </t></r><r><t>pieces</t></r></si><si><t>word</t><rPh sb="0" '.
            'eb="1"><t>spoken</t></rPh></si><si/></sst>';
        $rows = $this->rows(
            '<row r="1"><c r="A1" t="s"><v>0</v></c><c r="B1" t="s"><v>1</v></c><c r="C1" t="s"><v>2</v></c><c r="D1" '.
            't="s"><v>9</v></c></row>',
            ['xl/sharedStrings.xml' => $shared],
        );
        self::assertSame([1 => ['plain', 'two pieces', 'word']], $rows);
    }

    public function test_numbers_come_as_they_were_typed(): void
    {
        $cells =
            '<c r="A1"><v>128</v></c><c r="B1"><v>0.34999999999999998</v></c><c r="C1"><v>1E+3</v></c><c r="D1" '.
            't="str"><f>1+1</f><v>2</v></c><c r="E1" t="b"><v>1</v></c><c r="F1" t="e"><v>#N/A</v></c><c r="G1"><v>24.90</v></c>';
        self::assertSame([1 => ['128', '0.35', '1000', '2', 'yes', '', '24.9']], $this->rows("<row r=\"1\">{$cells}</row>"));
    }

    public function test_days_are_told_by_the_style_of_their_cell(): void
    {
        $styles =
            '<styleSheet '.self::MAIN.'><numFmts><numFmt numFmtId="164" formatCode="yyyy\-mm\-dd"/><numFmt numFmtId="165" '.
            'formatCode="0.00 &quot;dead&quot;"/></numFmts>'.
            '<cellStyleXfs><xf numFmtId="14"/></cellStyleXfs><cellXfs><xf numFmtId="0"/><xf numFmtId="14"/><xf numFmtId="164"/><xf '.
            'numFmtId="165"/></cellXfs></styleSheet>';
        $cells =
            '<c r="A1" s="0"><v>46351</v></c><c r="B1" s="1"><v>46351</v></c><c r="C1" s="2"><v>46351.75</v></c><c r="D1" '.
            's="3"><v>46351</v></c><c r="E1" s="1" t="d"><v>2026-11-25T00:00:00</v></c><c r="F1" s="1"><v>-3</v></c>';
        // 46351 is 25 November 2026, counted from the end of 1899.
        self::assertSame(
            [1 => ['46351', '2026-11-25', '2026-11-25', '46351', '2026-11-25']],
            array_map(
                fn (array $row): array => array_slice($row, 0, 5),
                $this->rows("<row r=\"1\">{$cells}</row>", ['xl/styles.xml' => $styles]),
            ),
        );
    }

    public function test_old_workbooks_count_days_from_1904(): void
    {
        $book =
            '<workbook '.
            self::MAIN.
            '><workbookPr date1904="1"/><sheets><sheet name="Cards" sheetId="1" r:id="rId7"/></sheets></workbook>';
        $styles = '<styleSheet '.self::MAIN.'><cellXfs><xf numFmtId="14"/></cellXfs></styleSheet>';
        self::assertSame(
            [1 => ['2026-11-25']],
            $this->rows('<row r="1"><c r="A1" s="0"><v>44889</v></c></row>', ['xl/workbook.xml' => $book, 'xl/styles.xml' => $styles]),
        );
    }

    /** @return iterable<string, array{array<string, string>, string}> entries, words of the sentence */
    public static function broken(): iterable
    {
        yield 'no sheet' => [['xl/_rels/workbook.xml.rels' => self::relations([])], 'cannot be read to its end'];
        yield 'a sheet that ends early' => [
            ['xl/worksheets/cards.xml' => '<worksheet><sheetData><row><c><v>1</v>'],
            'cannot be read to its end',
        ];
        yield 'declarations in the sheet' => [
            ['xl/worksheets/cards.xml' => '<!DOCTYPE x [<!ENTITY a "b">]><worksheet>&a;</worksheet>'],
            'document type declarations',
        ];
        yield 'declarations in the shared text' => [['xl/sharedStrings.xml' => '<!DOCTYPE x><sst/>'], 'document type declarations'];
    }

    /** @param  array<string, string>  $entries */
    #[DataProvider('broken')]
    public function test_a_broken_workbook_gets_a_sentence(array $entries, string $words): void
    {
        $this->expectException(NotATable::class);
        $this->expectExceptionMessage($words);
        $this->rows('<row r="1"><c r="A1"><v>1</v></c></row>', $entries);
    }

    public function test_a_row_of_a_thousand_columns_is_too_wide(): void
    {
        $this->expectException(NotATable::class);
        $this->expectExceptionMessage('more than 80 columns');
        $this->rows('<row r="1"><c r="A1"><v>1</v></c><c r="CC1"><v>2</v></c></row>');
    }
}
