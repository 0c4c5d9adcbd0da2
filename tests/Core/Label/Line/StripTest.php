<?php

declare(strict_types=1);

namespace Tests\Core\Label\Line;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Label\Line\Strip;

final class StripTest extends TestCase
{
    public function test_what_is_taken_is_gone_and_the_rest_stays_in_pieces(): void
    {
        $strip = new Strip('red 64GB and blue');
        self::assertSame('64GB', $strip->take('\d+GB')[0] ?? null);
        self::assertNull($strip->take('\d+GB'));
        self::assertSame(['red', 'and blue'], $strip->left());
    }

    public function test_pieces_end_where_letters_and_digits_end(): void
    {
        $strip = new Strip('V300 V30');
        self::assertCount(1, $strip->takeAll('V(30)'));
        self::assertSame(['V300'], $strip->left());
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function prints(): iterable
    {
        yield 'circled classes' => ['⑩', ['C10']];
        yield 'a times sign' => ['1066×', ['1066x']];
        yield 'spaces of all kinds' => ["64\u{00A0}GB\u{202F}SD", ['64 GB SD']];
        yield 'glued marks' => ['U3V30', ['U3 V30']];
        yield 'three glued marks' => ['C10U3V30', ['C10 U3 V30']];
        yield 'a word that begins like a mark' => ['C10X', ['C10X']];
        yield 'footnotes' => ['45 MB/s*', ['45 MB/s']];
        yield 'trade marks' => ['SDHC™', ['SDHC']];
        yield 'long dashes' => ['UHS–II', ['UHS-II']];
        yield 'separators alone' => [' , / ( ) ', []];
    }

    /** @param  list<string>  $left */
    #[DataProvider('prints')]
    public function test_print_is_made_plain(string $line, array $left): void
    {
        self::assertSame($left, (new Strip($line))->left());
    }

    public function test_stretches_are_taken_out_from_the_end_so_that_places_hold(): void
    {
        $strip = new Strip('aa bb cc');
        $rest = $strip->rest();
        $strip->takeOut([[(int) strpos($rest, 'aa'), 2], [(int) strpos($rest, 'cc'), 2]]);
        self::assertSame(['bb'], $strip->left());
    }
}
