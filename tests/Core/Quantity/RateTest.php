<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

final class RateTest extends TestCase
{
    /** @return iterable<string, array{string, float}> bytes a second */
    public static function typed(): iterable
    {
        yield 'megabytes' => ['95MB/s', 95e6];
        yield 'megabytes spaced' => ['95 MB / s', 95e6];
        yield 'megabytes per sec' => ['95 MB/sec', 95e6];
        yield 'MBps' => ['95 MBps', 95e6];
        yield 'shouted' => ['95 MB/S', 95e6];
        yield 'megabits' => ['2600 Mbps', 325e6];
        yield 'megabits with a slash' => ['280 Mb/s', 35e6];
        yield 'megabits in small letters' => ['280 mbps', 35e6];
        yield 'megabits spelled' => ['280 Mbit/s', 35e6];
        yield 'gigabits' => ['10 Gb/s', 1.25e9];
        yield 'gigabytes' => ['1.7 GB/s', 1.7e9];
        yield 'mebibytes' => ['90 MiB/s', 94_371_840.0];
        yield 'kilobytes' => ['150 kB/s', 150e3];
        yield '×-rating' => ['1066x', 159.9e6];
        yield '×-rating with the sign' => ['800×', 120e6];
        yield 'bare number is MB/s' => ['3.7', 3.7e6];
        yield 'bare number with a comma' => ['3,7', 3.7e6];
        yield 'thousands by space' => ['1 700 MB/s', 1.7e9];
        yield 'bytes' => ['512 B/s', 512.0];
    }

    #[DataProvider('typed')]
    public function test_what_people_type_is_read(string $text, float $rate): void
    {
        self::assertEqualsWithDelta($rate, Rate::parse($text)->bytesPerSecond, $rate * 1e-12);
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'no number' => ['fast', 'is not a speed'];
        yield 'empty' => ['', 'is not a speed'];
        yield 'a size' => ['95 MB', 'is not a speed'];
        yield 'another unit' => ['95 km/h', 'is not a speed'];
        yield 'bits or bytes' => ['95 mb/s', 'could be megabits or megabytes'];
        yield 'bits or bytes, giga' => ['1 gb/s', 'could be megabits or megabytes'];
        yield 'zero' => ['0 MB/s', 'is zero or less'];
        yield 'thousands by comma' => ['1,066x', 'could be a decimal comma or a thousands mark'];
        yield 'negative' => ['-5 MB/s', 'is not a speed'];
    }

    #[DataProvider('refused')]
    public function test_what_is_no_speed_is_refused_with_a_sentence(string $text, string $words): void
    {
        $this->expectException(NotAQuantity::class);
        $this->expectExceptionMessage($words);
        Rate::parse($text);
    }

    public function test_the_exact_print_parses_back(): void
    {
        foreach ([95e6, 94_371_840.0, 159.9e6, 20_123_457.0, 1.0] as $rate) {
            self::assertSame($rate, Rate::parse(Rate::bytesPerSecond($rate)->exact())->bytesPerSecond);
        }
    }

    /** @return iterable<array{float, string}> */
    public static function printed(): iterable
    {
        yield [92.98e6, '92.98 MB/s'];
        yield [95e6, '95 MB/s'];
        yield [254.8e6, '254.8 MB/s'];
        yield [1.7e9, "1\u{202F}700 MB/s"];
        yield [150e3, '0.15 MB/s'];
    }

    #[DataProvider('printed')]
    public function test_print(float $rate, string $words): void
    {
        self::assertSame($words, Rate::bytesPerSecond($rate)->print());
    }

    public function test_a_transfer_needs_time_to_have_a_speed(): void
    {
        $this->expectException(NotAQuantity::class);
        Rate::ofTransfer(Bytes::gigabytes(1), Span::seconds(0));
    }

    public function test_no_speed_is_endless(): void
    {
        $this->expectException(NotAQuantity::class);
        Rate::bytesPerSecond(INF);
    }

    public function test_time_for_bytes(): void
    {
        self::assertSame(10.0, Rate::megabytesPerSecond(100)->timeFor(Bytes::gigabytes(1))->seconds);
    }

    public function test_share_of_another(): void
    {
        self::assertSame(0.5, Rate::megabytesPerSecond(60)->over(Rate::megabytesPerSecond(120)));
        self::assertTrue(Rate::megabytesPerSecond(60)->isBelow(Rate::megabytesPerSecond(60.1)));
        self::assertFalse(Rate::megabytesPerSecond(60)->isBelow(Rate::megabytesPerSecond(60)));
    }
}
