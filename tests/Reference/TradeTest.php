<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Probe\Forecast;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** Worked examples of the trade: common practice, no source. */
final class TradeTest extends TestCase
{
    /** @return iterable<string, array{string, string, float}> size, time, MB/s */
    public static function timedCopies(): iterable
    {
        yield '20 GB in 3:49' => ['20 GB', '3:49', 87.3];
        yield '20 GB in 1:37' => ['20 GB', '1:37', 206.2];
        yield '227 GB in 14:51' => ['227 GB', '14:51', 254.8];
        yield '14.7 GB in 4:21, previews and all' => ['14.7 GB', '4:21', 56.3];
        yield '427 GB in 15:41, two slots at once' => ['427 GB', '15:41', 453.8];
        yield '10 GiB in 34 s' => ['10 GiB', '34', 315.8];
    }

    #[DataProvider('timedCopies')]
    public function test_timed_copies(string $size, string $time, float $megabytes): void
    {
        self::assertEqualsWithDelta($megabytes, Rate::ofTransfer(Bytes::parse($size), Span::parse($time))->megabytes(), 0.05);
    }

    /** @return iterable<string, array{string, string, string, string}> size, write, read, time in words */
    public static function proofs(): iterable
    {
        yield '32 GB at 20 and 84.1 MB/s' => ['32 GB', '20 MB/s', '84.1 MB/s', '33 min'];
        yield '1 TB at 11.7 and 7 MB/s' => ['1 TB', '11.7 MB/s', '7 MB/s', '63.4 h'];
    }

    #[DataProvider('proofs')]
    public function test_how_long_a_proof_takes(string $size, string $write, string $read, string $words): void
    {
        $time = (new Forecast(Rate::parse($write), Rate::parse($read)))->for(Bytes::parse($size));
        self::assertStringContainsString($words, $time->print());
    }

    public function test_a_speed_run_takes_its_runs_times_both_ways(): void
    {
        $forecast = new Forecast(Rate::megabytesPerSecond(100), Rate::megabytesPerSecond(50));
        self::assertSame(150.0, $forecast->for(Bytes::gigabytes(1), 5)->seconds);
    }

    public function test_an_offload_in_two_readers(): void
    {
        // 100 GB at 88.5 MB/s is 18.8 min, at 206.2 MB/s 8.1 min.
        self::assertEqualsWithDelta(18.8, Rate::megabytesPerSecond(88.5)->timeFor(Bytes::gigabytes(100))->seconds / 60, 0.05);
        self::assertEqualsWithDelta(8.1, Rate::megabytesPerSecond(206.2)->timeFor(Bytes::gigabytes(100))->seconds / 60, 0.05);
    }

    public function test_a_card_of_32_gb_may_show_as_29_7_gib(): void
    {
        self::assertSame('29.71 GiB', Bytes::parse('31.9 GB')->binary());
        self::assertEqualsWithDelta(31.9e9, Bytes::parse('29.7 GiB')->count, 0.01e9);
    }
}
