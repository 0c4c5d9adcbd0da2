<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Chain\HostLink;
use Tally\Chain\LineCoding;
use Tally\Label\Bus;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** Units, line codings and class floors against the published figures. */
final class UnitsTest extends TestCase
{
    /** @return iterable<string, array{string, string}> unit, bytes. Source: IEC 80000-13, prefixes. */
    public static function prefixes(): iterable
    {
        foreach (['k' => 3, 'M' => 6, 'G' => 9, 'T' => 12, 'P' => 15, 'E' => 18] as $prefix => $power) {
            yield "1 {$prefix}B" => ["1 {$prefix}B", '1'.str_repeat('0', $power)];
        }
        yield '1 KiB' => ['1 KiB', '1024'];
        yield '1 MiB' => ['1 MiB', '1048576'];
        yield '1 GiB' => ['1 GiB', '1073741824'];
        yield '1 TiB' => ['1 TiB', '1099511627776'];
        yield '1 PiB' => ['1 PiB', '1125899906842624'];
        yield '1 EiB' => ['1 EiB', '1152921504606846976'];
    }

    #[DataProvider('prefixes')]
    public function test_prefixes_are_those_of_iec_80000_13(string $unit, string $bytes): void
    {
        self::assertSame($bytes, (string) Bytes::parse($unit)->count);
    }

    /** @return iterable<string, array{Rate, float}> in MB/s. A byte is 8 bits: IEC 80000-13. */
    public static function conversions(): iterable
    {
        yield '240 Mb/s' => [Rate::megabitsPerSecond(240), 30];
        yield '2600 Mb/s' => [Rate::megabitsPerSecond(2600), 325];
        yield '5600 Mb/s' => [Rate::megabitsPerSecond(5600), 700];
        // The ×-rating: common practice, no source.
        yield '800×' => [Rate::times(800), 120];
        yield '1000×' => [Rate::times(1000), 150];
        yield '1066×' => [Rate::times(1066), 159.9];
    }

    #[DataProvider('conversions')]
    public function test_bits_bytes_and_ratings(Rate $rate, float $megabytes): void
    {
        self::assertEqualsWithDelta($megabytes, $rate->megabytes(), 1e-9);
        self::assertEqualsWithDelta($megabytes * 8, $rate->megabits(), 1e-8);
    }

    /** @return iterable<string, array{LineCoding, float, int, float}> Source: PCI Express base specification; USB 3.2 specification. */
    public static function codings(): iterable
    {
        yield '8b/10b, 5 GT/s' => [LineCoding::EightTen, 5, 1, 500.0];
        yield '8b/10b, 2.5 GT/s' => [LineCoding::EightTen, 2.5, 1, 250.0];
        yield '8b/10b, SATA 6 Gb/s' => [LineCoding::EightTen, 6, 1, 600.0];
        yield '128b/130b, 8 GT/s' => [LineCoding::OneThirty, 8, 1, 984.6];
        yield '128b/130b, 16 GT/s' => [LineCoding::OneThirty, 16, 1, 1969.2];
        yield '128b/130b, 16 GT/s, two lanes' => [LineCoding::OneThirty, 16, 2, 3938.5];
        yield '128b/132b, 10 Gb/s' => [LineCoding::OneThirtyTwo, 10, 1, 1212.1];
        yield '128b/132b, 20 Gb/s as two lanes' => [LineCoding::OneThirtyTwo, 10, 2, 2424.2];
    }

    #[DataProvider('codings')]
    public function test_line_codings(LineCoding $coding, float $wire, int $lanes, float $megabytes): void
    {
        self::assertEqualsWithDelta($megabytes, $coding->payload($wire, $lanes)->megabytes(), 0.05);
    }

    /** @return iterable<string, array{Mark, float}> Source: SD Association speed-class tables; E and VPG rows from memory. */
    public static function floors(): iterable
    {
        $table = [
            'C2' => 2,
            'C4' => 4,
            'C6' => 6,
            'C10' => 10,
            'U1' => 10,
            'U3' => 30,
            'V6' => 6,
            'V10' => 10,
            'V30' => 30,
            'V60' => 60,
            'V90' => 90,
            'E150' => 150,
            'E300' => 300,
            'E450' => 450,
            'E600' => 600,
            'A1' => 10,
            'A2' => 10,
            'VPG20' => 20,
            'VPG65' => 65,
            'VPG130' => 130,
            'VPG200' => 200,
            'VPG400' => 400,
            'VPG800' => 800,
        ];
        foreach ($table as $mark => $floor) {
            yield $mark => [Mark::from($mark), $floor];
        }
    }

    #[DataProvider('floors')]
    public function test_class_floors(Mark $mark, float $floor): void
    {
        self::assertSame($floor, $mark->floor()->megabytes());
    }

    public function test_every_mark_has_been_checked(): void
    {
        self::assertCount(count(Mark::cases()), iterator_to_array(self::floors()));
    }

    public function test_marks_stand_on_the_buses_they_are_defined_for(): void
    {
        // SD Association: V60 and V90 need UHS-II or III (or Express); U1, U3 and V30 any UHS; C10 High Speed and up.
        foreach ([Mark::V60, Mark::V90] as $mark) {
            self::assertNotContains(Bus::UhsI, $mark->buses());
            self::assertContains(Bus::UhsII, $mark->buses());
        }
        foreach ([Mark::U1, Mark::U3, Mark::V30] as $mark) {
            self::assertContains(Bus::UhsI, $mark->buses());
            self::assertNotContains(Bus::SdHighSpeed, $mark->buses());
        }
        self::assertContains(Bus::SdHighSpeed, Mark::C10->buses());
    }

    /** @return iterable<string, array{float, float}> nominal MB/s as computed, as published */
    public static function ceilings(): iterable
    {
        // SD physical-layer specification, bus modes; CFexpress specification, lanes × PCIe generation.
        yield 'SD default' => [Bus::SdDefault->ceiling()->nominal->megabytes(), 12.5];
        yield 'SD High Speed' => [Bus::SdHighSpeed->ceiling()->nominal->megabytes(), 25];
        yield 'UHS-I' => [Bus::UhsI->ceiling()->nominal->megabytes(), 104];
        yield 'UHS-II' => [Bus::UhsII->ceiling()->nominal->megabytes(), 312];
        yield 'UHS-III' => [Bus::UhsIII->ceiling()->nominal->megabytes(), 624];
        yield 'SD Express Gen3×1' => [Bus::ExpressGen3->ceiling()->nominal->megabytes(), 985];
        yield 'SD Express Gen4×2' => [Bus::ExpressGen4x2->ceiling()->nominal->megabytes(), 3938];
        yield 'CFast 2' => [Bus::CFast2->ceiling()->nominal->megabytes(), 600];
        yield 'XQD' => [Bus::Xqd2->ceiling()->nominal->megabytes(), 500];
        yield 'CFexpress 2.0 A' => [Bus::CFexpress2A->ceiling()->nominal->megabytes(), 985];
        yield 'CFexpress 2.0 B' => [Bus::CFexpress2B->ceiling()->nominal->megabytes(), 1969];
        yield 'CFexpress 2.0 C' => [Bus::CFexpress2C->ceiling()->nominal->megabytes(), 3938];
        yield 'CFexpress 4.0 A' => [Bus::CFexpress4A->ceiling()->nominal->megabytes(), 1969];
        yield 'CFexpress 4.0 B' => [Bus::CFexpress4B->ceiling()->nominal->megabytes(), 3938];
        yield 'CFexpress 4.0 C' => [Bus::CFexpress4C->ceiling()->nominal->megabytes(), 7877];
        // USB 2.0 and 3.2 specifications; SATA 3 specification; IEEE 802.3.
        yield 'USB 2.0' => [HostLink::Usb2->ceiling()->nominal->megabytes(), 60];
        yield 'USB 5 Gb/s' => [HostLink::UsbGen1->ceiling()->nominal->megabytes(), 500];
        yield 'USB 10 Gb/s' => [HostLink::UsbGen2->ceiling()->nominal->megabytes(), 1212];
        yield 'USB 20 Gb/s' => [HostLink::UsbGen2x2->ceiling()->nominal->megabytes(), 2424];
        yield 'SATA III' => [HostLink::Sata3->ceiling()->nominal->megabytes(), 600];
        yield '1 GbE' => [HostLink::Gigabit->ceiling()->nominal->megabytes(), 125];
        yield '10 GbE' => [HostLink::TenGigabit->ceiling()->nominal->megabytes(), 1250];
    }

    #[DataProvider('ceilings')]
    public function test_bus_and_link_ceilings(float $computed, float $published): void
    {
        self::assertEqualsWithDelta($published, $computed, 0.6);
    }
}
