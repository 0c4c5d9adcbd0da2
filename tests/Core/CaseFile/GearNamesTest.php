<?php

declare(strict_types=1);

namespace Tests\Core\CaseFile;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\CaseFile\GearNames;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Label\Form;

/** Buses and links as people write them; names as in the tables of the handbook, § 1 and § 2. */
final class GearNamesTest extends TestCase
{
    /** @return iterable<string, array{string, Bus}> */
    public static function buses(): iterable
    {
        yield 'as in the table' => ['UHS-II', Bus::UhsII];
        yield 'without a hyphen' => ['uhs ii', Bus::UhsII];
        yield 'UHS-I' => ['UHS-I', Bus::UhsI];
        yield 'a double rate' => ['UHS-I double rate', Bus::UhsIDouble];
        yield 'by its mode' => ['SDR104', Bus::UhsI];
        yield 'SD Express' => ['SD Express', Bus::Express];
        yield 'CFexpress of a generation' => ['CFexpress 2.0 Type B', Bus::CFexpress2B];
        yield 'the newer one' => ['CFexpress 4.0 A', Bus::CFexpress4A];
        yield 'CFast' => ['CFast 2.0', Bus::CFast2];
        yield 'XQD' => ['XQD', Bus::Xqd2];
        yield 'CompactFlash' => ['UDMA 7', Bus::Udma7];
    }

    #[DataProvider('buses')]
    public function test_a_bus_is_known_however_it_is_written(string $text, Bus $bus): void
    {
        self::assertSame($bus, GearNames::bus($text));
    }

    /** @return iterable<string, array{string, HostLink}> */
    public static function links(): iterable
    {
        yield 'USB by its speed' => ['USB 10 Gb/s', HostLink::UsbGen2];
        yield 'USB by its generation' => ['USB 3.2 Gen 1', HostLink::UsbGen1];
        yield 'the old one' => ['USB 480 Mb/s', HostLink::Usb2];
        yield 'two lanes' => ['USB 3.2 Gen 2×2', HostLink::UsbGen2x2];
        yield 'USB4' => ['USB4 40 Gb/s', HostLink::Usb4];
        yield 'Thunderbolt' => ['Thunderbolt 40 Gb/s', HostLink::Thunderbolt];
        yield 'SATA' => ['SATA 6 Gb/s', HostLink::Sata3];
        yield 'a network' => ['10 GbE', HostLink::TenGigabit];
    }

    #[DataProvider('links')]
    public function test_a_link_is_known_however_it_is_written(string $text, HostLink $link): void
    {
        self::assertSame($link, GearNames::link($text));
    }

    public function test_every_bus_and_link_is_known_by_the_name_that_is_shown(): void
    {
        foreach (Form::cases() as $form) {
            foreach ($form->buses() as $bus) {
                self::assertSame($bus, GearNames::bus($bus->value), $bus->value);
                self::assertSame($bus, GearNames::bus($bus->label(), $form), $bus->label());
            }
        }
        foreach (HostLink::cases() as $link) {
            self::assertSame($link, GearNames::link($link->value), $link->value);
            self::assertSame($link, GearNames::link($link->label()), $link->label());
        }
    }

    public function test_what_is_neither_is_not_guessed(): void
    {
        foreach (['', 'UHS', 'UHS-IV', 'USB', 'fast', 'CFexpress'] as $text) {
            self::assertNull(GearNames::bus($text), $text);
            self::assertNull(GearNames::link($text), $text);
        }
    }
}
