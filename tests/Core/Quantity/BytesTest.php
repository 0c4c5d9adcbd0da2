<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;

final class BytesTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function typed(): iterable
    {
        yield 'decimal gigabytes' => ['128 GB', 128_000_000_000];
        yield 'no space' => ['128GB', 128_000_000_000];
        yield 'small letters of a hasty hand' => ['128gb', 128_000_000_000];
        yield 'terabyte' => ['1TB', 1_000_000_000_000];
        yield 'binary' => ['10 GiB', 10_737_418_240];
        yield 'binary in small letters' => ['10 gib', 10_737_418_240];
        yield 'bare letter, as labels print it' => ['64G', 64_000_000_000];
        yield 'kilobyte with its standard small k' => ['4 kB', 4_000];
        yield 'kilobyte as often written' => ['4 KB', 4_000];
        yield 'kibibyte' => ['1.5 KiB', 1_536];
        yield 'decimal comma' => ['31,91 GB', 31_910_000_000];
        yield 'what a computer prints, to the nearest byte' => ['29.7 GiB', 31_890_132_173];
        yield 'bytes spelled out' => ['512 bytes', 512];
        yield 'one byte' => ['1 byte', 1];
        yield 'plain bytes' => ['7977041920', 7_977_041_920];
        yield 'groups of three' => ['7 977 041 920', 7_977_041_920];
        yield 'groups with narrow no-break spaces' => ["7\u{202F}977\u{202F}041\u{202F}920 B", 7_977_041_920];
        yield 'spaces around' => ['  16 MiB ', 16_777_216];
        yield 'above what a double holds exactly' => ['9007199254740993 B', 9_007_199_254_740_993];
        yield 'the largest SDUC card' => ['128 TB', 128_000_000_000_000];
        yield 'nothing' => ['0 GB', 0];
    }

    #[DataProvider('typed')]
    public function test_what_people_type_is_read_to_the_byte(string $text, int $bytes): void
    {
        self::assertSame($bytes, Bytes::parse($text)->count);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'no number' => ['plenty', 'is not a size'];
        yield 'empty' => ['', 'is not a size'];
        yield 'a speed' => ['95 MB/s', 'is not a size'];
        yield 'negative' => ['-4 GB', 'is not a size'];
        yield 'two numbers' => ['4 5 GB', 'is not a size'];
        yield 'gigabits' => ['128 Gb', 'is in bits'];
        yield 'gigabits spelled' => ['128 Gbit', 'is in bits'];
        yield 'part of a byte' => ['3.7', 'not a whole number of bytes'];
        yield 'decimal comma or thousands' => ['1,000 MB', 'could be a decimal comma or a thousands mark'];
        yield 'beyond 64 bits' => ['20 EB', 'is larger than this program counts'];
        yield 'absurd digits' => ['99999999999999999999 TB', 'is larger than this program counts'];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_size_is_refused_with_a_sentence(string $text, string $words): void
    {
        $this->expectException(NotAQuantity::class);
        $this->expectExceptionMessage($words);
        Bytes::parse($text);
    }

    public function test_the_refusal_repeats_what_was_given(): void
    {
        $this->expectExceptionMessage('“12 furlongs”');
        Bytes::parse('12 furlongs');
    }

    public function test_a_field_may_say_which_unit_a_bare_number_is_in(): void
    {
        self::assertSame(128_000_000_000, Bytes::parse('128', 'GB')->count);
        self::assertSame(3_700_000_000, Bytes::parse('3,7', 'GB')->count);
    }

    /** @return iterable<string, array{int, string, string}> */
    public static function printed(): iterable
    {
        yield 'nothing' => [0, '0 B', '0 B'];
        yield 'bytes' => [512, '512 B', '512 B'];
        yield 'one kilobyte' => [1_000, '1 kB', '1000 B'];
        yield 'rounding up to the next unit' => [999_996, '1 MB', '976.56 KiB'];
        yield 'just under it' => [999_990, '999.99 kB', '976.55 KiB'];
        yield 'a card of “32 GB”' => [31_914_983_424, '31.91 GB', '29.72 GiB'];
        yield 'a terabyte' => [1_000_000_000_000, '1 TB', '931.32 GiB'];
        yield 'largest' => [PHP_INT_MAX, '9.22 EB', '8 EiB'];
    }

    #[DataProvider('printed')]
    public function test_it_prints_decimal_with_the_binary_figure_at_hand(int $bytes, string $decimal, string $binary): void
    {
        self::assertSame($decimal, Bytes::of($bytes)->decimal());
        self::assertSame($binary, Bytes::of($bytes)->binary());
    }

    public function test_the_exact_print_parses_back_to_the_same_bytes(): void
    {
        foreach ([1, 999, 31_914_983_424, 32_000_000_000, 7_977_041_920, PHP_INT_MAX] as $bytes) {
            self::assertSame($bytes, Bytes::parse(Bytes::of($bytes)->exact())->count);
        }
        self::assertSame('32 GB', Bytes::gigabytes(32)->exact());
    }

    public function test_shares(): void
    {
        self::assertSame(0.25, Bytes::gigabytes(8)->shareOf(Bytes::gigabytes(32)));
        self::assertSame(0.0, Bytes::gigabytes(8)->shareOf(Bytes::of(0)));
    }

    public function test_fewer_than_no_bytes_are_refused(): void
    {
        $this->expectException(NotAQuantity::class);
        Bytes::of(-1);
    }
}
