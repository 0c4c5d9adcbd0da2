<?php

declare(strict_types=1);

namespace Tests\Core\Shoot;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Slip;
use Tally\Quantity\Span;
use Tally\Shoot\Calibration;
use Tally\Shoot\FillRate;
use Tally\Shoot\Mode;
use Tally\Shoot\ModeKind;

/** Minutes and shots. Source of the check values: handbook § 7, common practice, no source. */
final class MinutesTest extends TestCase
{
    /** @return iterable<array{int, string}> minutes on 160 GB, effective Mb/s */
    public static function trade(): iterable
    {
        yield [79, '270.0'];
        yield [40, '533.3'];
        yield [33, '646.5'];
        yield [16, '1333.3'];
    }

    #[DataProvider('trade')]
    public function test_what_the_camera_says_is_a_rate_and_the_rate_gives_the_minutes_back(int $minutes, string $rate): void
    {
        $size = Bytes::parse('160 GB');
        $said = Calibration::says($size, Span::parse("{$minutes} min"));
        self::assertSame($rate, number_format($said->rate->megabits(), 1, '.', ''));
        $mode = new Mode('4K 60', ModeKind::LongGop, Rate::parse('240 Mb/s'), calibrations: [$said]);
        self::assertEqualsWithDelta($minutes, $mode->fill->lasts($size)->seconds / 60, 1e-9);
        // Half the card, half the minutes; and so much less of a usable share.
        self::assertEqualsWithDelta($minutes / 2, $mode->fill->lasts(Bytes::parse('80 GB'))->seconds / 60, 1e-9);
        self::assertEqualsWithDelta($minutes * 0.93, $mode->fill->lasts($size, 0.93)->seconds / 60, 1e-9);
        self::assertSame((string) $minutes, number_format(FillRate::of(Rate::parse("{$rate} Mb/s"), [])->lasts($size)->seconds / 60));
    }

    public function test_of_several_calibrations_the_fullest_decides(): void
    {
        $sizes = [Bytes::parse('160 GB'), Bytes::parse('80 GB'), Bytes::parse('3.4 GB')];
        $said = [
            Calibration::says($sizes[0], Span::parse('79 min')),
            Calibration::says($sizes[1], Span::parse('39 min')),
            Calibration::clip($sizes[2], Span::parse('100 s')),
        ];
        $fill = FillRate::of(Rate::parse('240 Mb/s'), $said);
        // 270.042, 273.504, 272.000: deviation 1.736 (by hand).
        self::assertSame(['273.504', 3], [number_format($fill->rate->megabits(), 3, '.', ''), $fill->calibrations]);
        self::assertEqualsWithDelta(1.736, (float) $fill->spread * 8 / 1e6, 5e-4);
        self::assertStringContainsString('the fullest of 3 calibrations, ± 1.7 Mb/s', $fill->words());
        self::assertFalse(FillRate::of(Rate::parse('240 Mb/s'), [])->isCalibrated());
    }

    public function test_stills_are_counted(): void
    {
        $mode = Mode::stills('raw', Bytes::parse('24.6 MB'), 0.5);
        self::assertSame(650, $mode->shots(Bytes::parse('16 GB')));
        self::assertEqualsWithDelta(12.3, $mode->nominal->megabytes(), 1e-9);
        self::assertNull((new Mode('x', ModeKind::Raw, Rate::parse('1 Gb/s')))->shots(Bytes::parse('16 GB')));
    }

    /** @return iterable<string, array{string, string, string, Slip|null, bool}> size, time, on paper, slip, whether it goes with it */
    public static function typed(): iterable
    {
        yield 'as cameras go' => ['160 GB', '79 min', '240 Mb/s', null, true];
        yield 'megabits typed as megabytes' => ['160 GB', '79 min', '240 MB/s', Slip::MegabitsAsMegabytes, false];
        yield 'megabytes typed as megabits' => ['160 GB', '79 min', '30 Mb/s', Slip::MegabytesAsMegabits, false];
        yield 'GiB read as GB' => ['10 GB', '34 s', '317 MB/s', Slip::GibAsGb, true];
        yield 'neither' => ['160 GB', '79 min', '900 Mb/s', null, false];
    }

    #[DataProvider('typed')]
    public function test_a_rate_that_contradicts_minutes_and_size_is_named(
        string $size,
        string $length,
        string $rate,
        ?Slip $slip,
        bool $goes,
    ): void {
        $said = Calibration::says(Bytes::parse($size), Span::parse($length));
        self::assertSame($slip, $said->slipOf(Rate::parse($rate)));
        self::assertSame($goes, $said->goesWith(Rate::parse($rate)));
    }
}
