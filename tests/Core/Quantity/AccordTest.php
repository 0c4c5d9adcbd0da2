<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Quantity\Accord;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Slip;
use Tally\Quantity\Span;

/** The unit-slip detector of handbook § 2; the factors are IEC 80000-13, that people slip so is common practice, no source. */
final class AccordTest extends TestCase
{
    private static function accord(string $size, string $time, string $speed): Accord
    {
        return Accord::of(Bytes::parse($size), Span::parse($time), Rate::parse($speed)) ?? self::fail('no accord');
    }

    public function test_the_handbooks_own_slip(): void
    {
        // Handbook § 2, common practice: 10 "GB" in 34 s typed as 317 MB/s is a GiB slip (10 GiB ÷ 34 s = 315.8).
        $accord = self::accord('10 GB', '34 s', '317 MB/s');
        self::assertFalse($accord->agrees());
        self::assertSame(Slip::GibAsGb, $accord->slip);
        self::assertStringContainsString('looks like GiB read as GB', $accord->sentence());
        self::assertStringContainsString('315.8 MB/s', $accord->sentence());
    }

    /** @return iterable<string, array{string, string, string, Slip|null, bool}> size, time, speed, slip, whether they agree */
    public static function given(): iterable
    {
        // 20 GB in 3:49 = 87.3 MB/s: handbook § 4, common practice.
        yield 'as measured' => ['20 GB', '3:49', '87.3 MB/s', null, true];
        yield 'rounded' => ['20 GB', '3:49', '87 MB/s', null, true];
        yield 'megabits as megabytes' => ['20 GB', '3:49', '699 MB/s', Slip::MegabitsAsMegabytes, false];
        yield 'said in megabits' => ['20 GB', '3:49', '699 Mb/s', null, true];
        yield 'megabytes as megabits' => ['20 GB', '3:49', '87.3 Mb/s', Slip::MegabytesAsMegabits, false];
        yield 'GB as GiB' => ['20 GiB', '3:49', '87.3 MB/s', Slip::GbAsGib, false];
        yield 'MiB as MB' => ['1000 MB', '10 s', '104.9 MB/s', Slip::MibAsMb, false];
        yield 'MiB/s as MB/s' => ['20 GB', '3:49', '83.3 MB/s', Slip::MbAsMib, false];
        yield 'neither' => ['20 GB', '3:49', '110 MB/s', null, false];
        yield 'at the edge of agreeing' => ['1 GB', '10 s', '101 MB/s', null, true];
        yield 'past the edge of agreeing' => ['1 GB', '10 s', '101.1 MB/s', null, false];
        yield 'within a hundredth of eight' => ['1 GB', '10 s', '807.9 MB/s', Slip::MegabitsAsMegabytes, false];
        yield 'past a hundredth of eight' => ['1 GB', '10 s', '808.1 MB/s', null, false];
        yield 'under a hundredth of eight' => ['1 GB', '10 s', '791.9 MB/s', null, false];
    }

    #[DataProvider('given')]
    public function test_slips_are_named_on_both_sides_of_their_edges(
        string $size,
        string $time,
        string $speed,
        ?Slip $slip,
        bool $agrees,
    ): void {
        $accord = self::accord($size, $time, $speed);
        self::assertSame($slip, $accord->slip);
        self::assertSame($agrees, $accord->agrees());
    }

    public function test_what_is_no_slip_says_by_how_much(): void
    {
        self::assertStringContainsString(
            'the three disagree, the typed speed is 26.0 % more than size and time come to',
            self::accord('20 GB', '3:49', '110 MB/s')->sentence(),
        );
        self::assertStringContainsString('42.8 % less', self::accord('20 GB', '3:49', '50 MB/s')->sentence());
        self::assertStringContainsString('the three agree', self::accord('20 GB', '3:49', '87.3 MB/s')->sentence());
    }

    public function test_no_slip_is_taken_for_another(): void
    {
        foreach (Slip::cases() as $slip) {
            foreach ([0.991, 1.0, 1.009] as $near) {
                self::assertSame($slip, Slip::of($slip->ratio() * $near));
            }
            self::assertNotSame('', $slip->words());
        }
    }

    public function test_nothing_comes_of_no_size_and_no_time(): void
    {
        self::assertNull(Accord::of(Bytes::of(0), Span::seconds(3), Rate::megabytesPerSecond(1)));
        self::assertNull(Accord::of(Bytes::of(1), Span::seconds(0), Rate::megabytesPerSecond(1)));
    }
}
