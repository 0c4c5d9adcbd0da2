<?php

declare(strict_types=1);

namespace Tests\Tables;

use App\Tables\TableReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\TemporaryFolder;
use ZipArchive;

/** Spreadsheets as other programs write them. Source: OASIS OpenDocument 1.3 part 3. */
final class OdsRowsTest extends TestCase
{
    use TemporaryFolder;

    /** @return array<int, list<string>> */
    private function rows(string $rows): array
    {
        $path = $this->folder().'/book.ods';
        $spaces = implode(
            ' ',
            array_map(fn (string $space): string => "xmlns:{$space}=\"urn:oasis:names:tc:opendocument:xmlns:{$space}:1.0\"", [
                'office',
                'table',
                'text',
            ]),
        );
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::CREATE);
        $zip->addFromString('mimetype', 'application/vnd.oasis.opendocument.spreadsheet');
        foreach (['meta', 'styles'] as $part) {
            $zip->addFromString("{$part}.xml", "<office:document-{$part} {$spaces}/>");
        }
        $zip->addFromString(
            'content.xml',
            "<office:document-content {$spaces}><office:body><office:spreadsheet><table:table ".
            "table:name=\"a\">{$rows}</table:table><table:table ".
            'table:name="b"><table:table-row><table:table-cell><text:p>other</text:p></table:table-cell>'.
                '</table:table-row></table:table></office:spreadsheet></office:body></office:document-content>',
        );
        $zip->close();

        return iterator_to_array(TableReader::rows($path, 'book.ods'));
    }

    private static function cell(string $text, string $attributes = 'office:value-type="string"'): string
    {
        return "<table:table-cell {$attributes}><text:p>{$text}</text:p></table:table-cell>";
    }

    /** @return iterable<string, array{string, array<int, list<string>>}> */
    public static function sheets(): iterable
    {
        yield 'the first sheet alone' => ['<table:table-row>'.self::cell('one').'</table:table-row>', [1 => ['one']]];
        yield 'repeated cells' => [
            '<table:table-row>'.
            self::cell('x', 'office:value-type="string" table:number-columns-repeated="3"').
            self::cell('y').
            '</table:table-row>',
            [1 => ['x', 'x', 'x', 'y']],
        ];
        yield 'empty cells between' => [
            '<table:table-row>'.
            self::cell('x').
            '<table:table-cell table:number-columns-repeated="2"/>'.
            self::cell('y').
            '</table:table-row>',
            [1 => ['x', '', '', 'y']],
        ];
        yield 'a thousand empty cells at the end' => [
            '<table:table-row>'.self::cell('x').'<table:table-cell table:number-columns-repeated="1023"/></table:table-row>',
            [1 => ['x']],
        ];
        yield 'repeated rows' => [
            '<table:table-row table:number-rows-repeated="2">'.self::cell('x').'</table:table-row>',
            [1 => ['x'], 2 => ['x']],
        ];
        yield 'a million empty rows' => [
            '<table:table-row>'.
            self::cell('x').
            '</table:table-row><table:table-row table:number-rows-repeated="1048575"><table:table-cell/></table:table-row>',
            [1 => ['x']],
        ];
        yield 'rows count across the empty ones' => [
            '<table:table-row table:number-rows-repeated="4"><table:table-cell/></table:table-row><table:table-row>'.
            self::cell('x').
            '</table:table-row>',
            [5 => ['x']],
        ];
        yield 'numbers by value, not as shown' => [
            '<table:table-row>'.self::cell('24,90 €', 'office:value-type="float" office:value="24.9"').'</table:table-row>',
            [1 => ['24.9']],
        ];
        yield 'days by value, not as shown' => [
            '<table:table-row>'.
            self::cell('25.11.26', 'office:value-type="date" office:date-value="2026-11-25T00:00:00"').
            '</table:table-row>',
            [1 => ['2026-11-25']],
        ];
        yield 'paragraphs are lines' => [
            '<table:table-row>'.self::cell('a</text:p><text:p>b').'</table:table-row>',
            [1 => ["a\nb"]],
        ];
        yield 'spaces and tabs' => [
            '<table:table-row>'.self::cell('a<text:s text:c="3"/>b<text:tab/>c').'</table:table-row>',
            [1 => ["a   b\tc"]],
        ];
        yield 'pieces of text' => ['<table:table-row>'.self::cell('a<text:span>b</text:span>c').'</table:table-row>', [1 => ['abc']]];
        yield 'a remark and nothing else' => [
            '<table:table-row><table:table-cell><office:annotation><text:p>aside</text:p></office:annotation></table:table-cell>'.
            self::cell('y').
            '</table:table-row>',
            [1 => ['', 'y']],
        ];
        yield 'remarks are not read' => [
            '<table:table-row><table:table-cell office:value-type="string"><office:annotation><text:p>aside</text:p></office:annotation>'.
                '<text:p>x</text:p></table:table-cell></table:table-row>',
            [1 => ['x']],
        ];
    }

    /** @param  array<int, list<string>>  $expected */
    #[DataProvider('sheets')]
    public function test_a_sheet_is_read(string $rows, array $expected): void
    {
        self::assertSame($expected, $this->rows($rows));
    }
}
