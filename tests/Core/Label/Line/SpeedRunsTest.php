<?php

declare(strict_types=1);

namespace Tests\Core\Label\Line;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Label\Form;
use Tally\Label\Line\SpeedRuns;
use Tally\Label\Line\SpeedToken;
use Tally\Label\Line\SpeedWords;
use Tally\Label\Line\Strip;

final class SpeedRunsTest extends TestCase
{
    /** @return list<string> each run as its kinds and figures */
    private static function runs(string $line): array
    {
        return array_map(
            fn (array $run): string => implode(
                ' ',
                array_map(fn (SpeedToken $token): string => $token->isFigure() ? $token->number.$token->unit : $token->kind, $run),
            ),
            SpeedRuns::of(" {$line} "),
        );
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function lines(): iterable
    {
        yield 'a lone figure' => ['95MB/s', ['95MB/s']];
        yield 'a word before' => ['read 95MB/s', ['read 95MB/s']];
        yield 'a letter stuck on' => ['R95 W90', ['read 95 write 90']];
        yield 'a letter stuck behind' => ['95R/90W', ['95 read 90 write']];
        yield 'a pair' => ['95/90 MB/s', ['95 90MB/s']];
        yield 'a pair of words' => ['R/W 95/90MB/s', ['both 95 90MB/s']];
        yield 'words in brackets' => ['95MB/s (R), 90MB/s (W)', ['95MB/s read 90MB/s write']];
        yield 'little words between' => ['read speed up to 95 MB/s', ['read 95MB/s']];
        yield 'thousands by space' => ['1 700 MB/s', ['1 700MB/s']];
        yield 'two runs apart' => ['read 95MB/s something write 90MB/s', ['read 95MB/s', 'write 90MB/s']];
        yield 'sustained in its ways' => ['sustained write 400MB/s', ['sustained 400MB/s']];
        yield 'a minimum' => ['min. 30MB/s', ['sustained 30MB/s']];
        yield 'a capacity is no speed' => ['write 64 GB', []];
        yield 'a rating is no speed' => ['read 633x', []];
        yield 'a year is no speed' => ['2024/12', []];
        yield 'a model number is no speed' => ['X2000 pro', []];
        yield 'a word without a figure' => ['read me', []];
        yield 'nothing' => ['', []];
    }

    /** @param  list<string>  $runs */
    #[DataProvider('lines')]
    public function test_runs_of_figures_and_words(string $line, array $runs): void
    {
        self::assertSame($runs, self::runs($line));
    }

    /** @return iterable<string, array{string, float|null, float|null, float|null}> line, read, write, sustained in MB/s */
    public static function speeds(): iterable
    {
        yield 'before' => ['read 95MB/s write 90MB/s', 95, 90, null];
        yield 'behind' => ['95MB/s read 90MB/s write', 95, 90, null];
        yield 'write first' => ['W 90MB/s R 95MB/s', 95, 90, null];
        yield 'one unit for both' => ['read 95 write 90 MB/s', 95, 90, null];
        yield 'megabits' => ['read 760 Mb/s', 95, null, null];
        yield 'three behind' => ['1785MB/s read 1500MB/s write 1300MB/s sustained', 1785, 1500, 1300];
        yield 'three before' => ['read 1785MB/s write 1500MB/s sustained 1300MB/s', 1785, 1500, 1300];
        yield 'said twice' => ['min write 850 MB/s sustained', null, null, 850];
        yield 'both ways in one run' => ['3700 MB/s read, 3400 MB/s write, min. sustained write 850 MB/s', 3700, 3400, 850];
        yield 'read is the faster one' => ['250MB/s W 130MB/s', 250, 130, null];
        yield 'and with a minimum' => ['95MB/s min. 30MB/s', 95, null, 30];
        yield 'of two read claims neither stands' => ['read 95MB/s read 200MB/s', null, null, null];
        yield 'only a write' => ['640Mb/s write', null, 80, null];
    }

    #[DataProvider('speeds')]
    public function test_which_figure_is_what(string $line, ?float $read, ?float $write, ?float $sustained): void
    {
        $words = SpeedWords::read(new Strip($line));
        self::assertEquals(
            [$read, $write, $sustained],
            [$words->read?->megabytes(), $words->write?->megabytes(), $words->sustained?->megabytes()],
        );
    }

    public function test_what_was_read_is_taken_out_and_the_rest_stays(): void
    {
        $strip = new Strip('Gullane read 95MB/s prime');
        $words = SpeedWords::read($strip);
        self::assertSame(['Gullane', 'prime'], $strip->left());
        self::assertSame(['read' => 'read 95MB/s'], $words->from);
    }

    public function test_a_figure_that_can_be_nothing_stays_with_its_word(): void
    {
        $strip = new Strip('read 12,500 GB/s');
        $words = SpeedWords::read($strip, Form::Cf);
        self::assertTrue($words->unread);
        self::assertNull($words->read);
        self::assertSame(['read 12,500 GB/s'], $strip->left());
        self::assertCount(1, $words->notes);
    }

    public function test_a_pair_without_a_unit_is_said_to_be_taken_as_megabytes(): void
    {
        $words = SpeedWords::read(new Strip('280/150'));
        self::assertSame([280.0, 150.0], [$words->read?->megabytes(), $words->write?->megabytes()]);
        self::assertSame(['“280/150” has no unit: taken as MB/s, read and write.'], $words->notes);
    }
}
