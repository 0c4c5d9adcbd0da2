<?php

declare(strict_types=1);

namespace Tests\Core\Reading\Copy;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Label\Bus;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Reading\Copy\CopyLimit;
use Tally\Reading\Copy\CopyReading;
use Tally\Reading\Copy\Lap;

/** The timed copies of handbook § 4: common practice, no source. */
final class CopyReadingTest extends TestCase
{
    /** @param  array<string, string>  $laps */
    private static function copy(string $size, array $laps, ?int $files = null): CopyReading
    {
        return CopyReading::of(Bytes::parse($size), $files, array_map(Span::parse(...), $laps));
    }

    /** @return iterable<string, array{string, string, float}> */
    public static function copies(): iterable
    {
        yield '20 GB in 3:49' => ['20 GB', '3:49', 87.3];
        yield '20 GB in 1:37' => ['20 GB', '1:37', 206.2];
        yield '227 GB in 14:51' => ['227 GB', '14:51', 254.8];
        yield '227 GB in 14m51s' => ['227 GB', '14m51s', 254.8];
        yield '14.7 GB in 4:21' => ['14.7 GB', '4:21', 56.3];
        // Handbook § 8: two slots at once.
        yield '427 GB in 15:41' => ['427 GB', '15:41', 453.8];
    }

    #[DataProvider('copies')]
    public function test_a_copy_comes_out_as_the_trade_says(string $size, string $time, float $megabytes): void
    {
        self::assertEqualsWithDelta(
            $megabytes,
            self::copy($size, ['copied' => $time])
                ->rate()
                ?->megabytes(),
            0.05,
        );
    }

    public function test_what_done_meant_is_the_last_lap(): void
    {
        $copy = self::copy('14.7 GB', ['copied' => '1:10', 'previews' => '4:21', 'verified' => '2:30'], 600);
        self::assertSame(Lap::Previews, $copy->done());
        self::assertSame('4 min 21 s', $copy->total()->print());
        self::assertEqualsWithDelta(210, $copy->rate(Lap::Copied)?->megabytes(), 0.05);
        self::assertNull(self::copy('1 GB', ['copied' => '9 s'])->rate(Lap::Verified));
    }

    public function test_previews_that_end_after_the_copy_were_the_limit(): void
    {
        self::assertSame(CopyLimit::Previews, self::copy('14.7 GB', ['copied' => '1:10', 'previews' => '4:21'])->bound());
        // Previews that end with the copy tell nothing yet.
        self::assertSame(CopyLimit::Open, self::copy('14.7 GB', ['copied' => '4:16', 'previews' => '4:21'])->bound());
    }

    public function test_a_card_that_reads_far_faster_was_not_the_limit(): void
    {
        $rate = Rate::megabytesPerSecond(...);
        self::assertSame(CopyLimit::Previews, self::copy('14.7 GB', ['previews' => '4:21'])->bound($rate(90)));
        self::assertSame(CopyLimit::NotTheCard, self::copy('14.7 GB', ['copied' => '4:21'])->bound($rate(90)));
        self::assertSame(CopyLimit::Card, self::copy('14.7 GB', ['copied' => '4:21'])->bound($rate(70)));
        self::assertSame(CopyLimit::Open, self::copy('14.7 GB', ['copied' => '4:21'])->bound());
    }

    public function test_reading_back_takes_its_own_time_and_acquits_no_card(): void
    {
        $rate = Rate::megabytesPerSecond(...);
        // 20 GB copied at 87.3 MB/s, the card's own speed, and read back in another 2 minutes.
        self::assertSame(CopyLimit::Card, self::copy('20 GB', ['copied' => '3:49', 'verified' => '5:49'])->bound($rate(90)));
        self::assertSame(CopyLimit::NotTheCard, self::copy('20 GB', ['copied' => '3:49', 'verified' => '5:49'])->bound($rate(120)));
        // Where nobody took the lap in between, copying and reading back cannot be told apart.
        self::assertSame(CopyLimit::Open, self::copy('20 GB', ['verified' => '5:49'])->bound($rate(90)));
    }

    public function test_a_copy_faster_than_its_chain_can_carry_is_not_trusted(): void
    {
        $chain = new Path([new Link('UHS-I bus', Bus::UhsI->ceiling())]); // 104 MB/s: SD physical-layer specification
        $card = Rate::megabytesPerSecond(92.8);
        self::assertSame(CopyLimit::TooFast, self::copy('10.5 GB', ['copied' => '100 s'])->bound($card, $chain));
        self::assertSame(CopyLimit::Card, self::copy('10 GB', ['copied' => '100 s'])->bound($card, $chain));
        // What counts is the copying, not a longer lap after it.
        self::assertSame(CopyLimit::TooFast, self::copy('40 GB', ['copied' => '100 s', 'previews' => '900 s'])->bound($card, $chain));
        // Over a chain that nobody named, and faster than the card was ever seen to read: nothing can be told.
        self::assertSame(CopyLimit::Open, self::copy('40 GB', ['copied' => '100 s'])->bound($card, Path::unnamed()));
    }

    public function test_the_same_time_from_a_card_twice_as_fast_is_bound_by_the_previews(): void
    {
        [$slow, $fast] = [Rate::megabytesPerSecond(90), Rate::megabytesPerSecond(180)];
        $one = self::copy('14.7 GB', ['previews' => '4:21'], 600);
        self::assertSame(CopyLimit::Previews, $one->boundBeside(self::copy('14.7 GB', ['previews' => '4:20'], 600), $slow, $fast));
        self::assertSame(
            CopyLimit::NotTheCard,
            self::copy('14.7 GB', ['copied' => '4:21'])->boundBeside(self::copy('14.7 GB', ['copied' => '4:20']), $fast, $slow),
        );
        self::assertSame(CopyLimit::Open, $one->boundBeside(self::copy('14.7 GB', ['previews' => '2:20'], 600), $slow, $fast));
        self::assertSame(CopyLimit::Open, $one->boundBeside(self::copy('20 GB', ['previews' => '4:20'], 600), $slow, $fast));
        self::assertSame(
            CopyLimit::Open,
            $one->boundBeside(self::copy('14.7 GB', ['previews' => '4:20'], 600), $slow, Rate::megabytesPerSecond(99)),
        );
        foreach (CopyLimit::cases() as $bound) {
            self::assertNotSame('', $bound->words());
        }
    }

    /** @return iterable<string, array{string, array<string, string>, string}> */
    public static function impossible(): iterable
    {
        yield 'nothing copied' => ['0 B', ['copied' => '9 s'], 'has no speed'];
        yield 'no lap' => ['1 GB', [], 'No lap was taken'];
        yield 'a lap of no time' => ['1 GB', ['copied' => '0 s'], 'after 0 s'];
        yield 'a lap nobody knows' => ['1 GB', ['done' => '9 s'], 'No lap was taken'];
    }

    /** @param  array<string, string>  $laps */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_gets_a_sentence(string $size, array $laps, string $said): void
    {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage($said);
        self::copy($size, $laps);
    }
}
