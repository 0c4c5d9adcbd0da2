<?php

declare(strict_types=1);

namespace Tests\Tables;

use App\Tables\Neutral;
use App\Tables\TableReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\TemporaryFolder;

final class CsvAndNeutralTest extends TestCase
{
    use TemporaryFolder;

    /** @return array<int, list<string>> */
    private function rows(string $text): array
    {
        $path = $this->folder().'/cards.csv';
        file_put_contents($path, $text);

        return iterator_to_array(TableReader::rows($path, 'cards.csv'));
    }

    /** @return iterable<string, array{string, array<int, list<string>>}> */
    public static function texts(): iterable
    {
        yield 'commas' => ["a,b\n1,2\n", [1 => ['a', 'b'], 2 => ['1', '2']]];
        yield 'semicolons' => ["a;b\n1,5;2\n", [1 => ['a', 'b'], 2 => ['1,5', '2']]];
        yield 'tabs' => ["a\tb\n1\t2\n", [1 => ['a', 'b'], 2 => ['1', '2']]];
        yield 'a comma inside quotes does not decide' => ["\"a,b,c\";d\n1;2\n", [1 => ['a,b,c', 'd'], 2 => ['1', '2']]];
        yield 'quotes within quotes' => ["a\n\"say \"\"so\"\"\"\n", [1 => ['a'], 2 => ['say "so"']]];
        yield 'lines within quotes' => ["a,b\n\"1\n2\",3\n", [1 => ['a', 'b'], 2 => ["1\n2", '3']]];
        yield 'backslashes are plain' => ["a,b\n\"c\\\",d\n", [1 => ['a', 'b'], 2 => ['c\\', 'd']]];
        yield 'empty rows are left out, their numbers are not' => ["a,b\n\n,\n1,2\n", [1 => ['a', 'b'], 4 => ['1', '2']]];
        yield 'no line end at the end' => ["a\n1", [1 => ['a'], 2 => ['1']]];
        yield 'carriage returns' => ["a,b\r\n1,2\r\n", [1 => ['a', 'b'], 2 => ['1', '2']]];
        yield 'spaces around cells' => ["a , b\n 1, 2 \n", [1 => ['a', 'b'], 2 => ['1', '2']]];
        yield 'a very long cell is cut' => ["a\n".str_repeat('x', 900)."\n", [1 => ['a'], 2 => [str_repeat('x', 500)]]];
    }

    /** @param  array<int, list<string>>  $expected */
    #[DataProvider('texts')]
    public function test_separated_text_is_read(string $text, array $expected): void
    {
        self::assertSame($expected, $this->rows($text));
    }

    /** @return iterable<string, array{string, string}> as kept, as it goes out */
    public static function texts_that_look_like_formulas(): iterable
    {
        yield 'a sum' => ['=1+1', "'=1+1"];
        yield 'a plus' => ['+49 30', "'+49 30"];
        yield 'a minus' => ['-5', "'-5"];
        yield 'an at' => ['@home', "'@home"];
        yield 'a tab' => ["\t=1", "'\t=1"];
        yield 'full width' => ["\u{FF1D}1", "'\u{FF1D}1"];
        yield 'what looks neutral already' => ["'=1", "''=1"];
        yield 'plain text' => ['Marrowick', 'Marrowick'];
        yield 'an apostrophe' => ["'t Hoog", "'t Hoog"];
        yield 'a sign further on' => ['a=1', 'a=1'];
        yield 'nothing' => ['', ''];
    }

    #[DataProvider('texts_that_look_like_formulas')]
    public function test_formulas_are_made_text_on_the_way_out_and_come_in_as_they_were(string $kept, string $out): void
    {
        self::assertSame($out, Neutral::out($kept));
        self::assertSame($kept, Neutral::in($out));
    }
}
