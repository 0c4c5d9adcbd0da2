<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Label\Form;

/** Buses and links as people write them: `UHS-II`, `CFexpress 2.0 B`, `USB 10 Gb/s`. */
final readonly class GearNames
{
    private const BUSES = [
        'sddefault' => Bus::SdDefault,
        'sddefaultspeed' => Bus::SdDefault,
        'defaultspeed' => Bus::SdDefault,
        'sdhighspeed' => Bus::SdHighSpeed,
        'highspeed' => Bus::SdHighSpeed,
        'uhsi' => Bus::UhsI,
        'uhs1' => Bus::UhsI,
        'sdr104' => Bus::UhsI,
        'uhsisdr104' => Bus::UhsI,
        'uhsidouble' => Bus::UhsIDouble,
        'uhsidoublerate' => Bus::UhsIDouble,
        'uhsiwithdoublerate' => Bus::UhsIDouble,
        'uhsidr' => Bus::UhsIDouble,
        'doublerate' => Bus::UhsIDouble,
        'uhsi208' => Bus::UhsIDouble,
        'uhsiwithamakersdoubleratehostmode' => Bus::UhsIDouble,
        'uhsii' => Bus::UhsII,
        'uhs2' => Bus::UhsII,
        'uhsiihd312' => Bus::UhsII,
        'uhsiifd156' => Bus::UhsII,
        'hd312' => Bus::UhsII,
        'fd156' => Bus::UhsII,
        'uhsiii' => Bus::UhsIII,
        'uhs3' => Bus::UhsIII,
        'sdexpress' => Bus::Express,
        'sdexpress985' => Bus::ExpressGen3,
        'sdexpressgen3x1' => Bus::ExpressGen3,
        'express' => Bus::Express,
        'sdexpress1969' => Bus::ExpressGen4,
        'sdexpressgen4x1' => Bus::ExpressGen4,
        'sdexpressgen3x2' => Bus::ExpressGen4,
        'sdexpress3938' => Bus::ExpressGen4x2,
        'sdexpressgen4x2' => Bus::ExpressGen4x2,
        'udma6' => Bus::Udma6,
        'cfudma6' => Bus::Udma6,
        'udma7' => Bus::Udma7,
        'cfudma7' => Bus::Udma7,
        'cf' => Bus::Udma7,
        'compactflash' => Bus::Udma7,
        'cfast' => Bus::CFast2,
        'cfast2' => Bus::CFast2,
        'cfast20' => Bus::CFast2,
        'xqd' => Bus::Xqd2,
        'xqd2' => Bus::Xqd2,
        'xqd5gts' => Bus::Xqd2,
        'xqd25gts' => Bus::Xqd1,
        'xqd1' => Bus::Xqd1,
        'cfexpressa' => Bus::CFexpress2A,
        'cfexpressb' => Bus::CFexpress2B,
        'cfexpressc' => Bus::CFexpress2C,
        'cfexpress20a' => Bus::CFexpress2A,
        'cfexpress20b' => Bus::CFexpress2B,
        'cfexpress20c' => Bus::CFexpress2C,
        'cfexpress2a' => Bus::CFexpress2A,
        'cfexpress2b' => Bus::CFexpress2B,
        'cfexpress2c' => Bus::CFexpress2C,
        'cfexpress40a' => Bus::CFexpress4A,
        'cfexpress40b' => Bus::CFexpress4B,
        'cfexpress40c' => Bus::CFexpress4C,
        'cfexpress4a' => Bus::CFexpress4A,
        'cfexpress4b' => Bus::CFexpress4B,
        'cfexpress4c' => Bus::CFexpress4C,
        'sata' => Bus::Sata,
        'sataiii' => Bus::Sata,
        'sata3' => Bus::Sata,
        'sata6gbs' => Bus::Sata,
    ];

    private const LINKS = [
        'usb480mbs' => HostLink::Usb2,
        'usb20480mbs' => HostLink::Usb2,
        'usb20' => HostLink::Usb2,
        'usb2' => HostLink::Usb2,
        'usb5gbs' => HostLink::UsbGen1,
        'usb32gen1' => HostLink::UsbGen1,
        'usb32gen15gbs' => HostLink::UsbGen1,
        'usb30' => HostLink::UsbGen1,
        'usb3' => HostLink::UsbGen1,
        'usb10gbs' => HostLink::UsbGen2,
        'usb32gen2' => HostLink::UsbGen2,
        'usb32gen210gbs' => HostLink::UsbGen2,
        'usb31' => HostLink::UsbGen2,
        'usb20gbs' => HostLink::UsbGen2x2,
        'usb32gen2x2' => HostLink::UsbGen2x2,
        'usb32gen2x220gbs' => HostLink::UsbGen2x2,
        'thunderbolt' => HostLink::Thunderbolt,
        'thunderbolt3' => HostLink::Thunderbolt,
        'thunderbolt4' => HostLink::Thunderbolt,
        'thunderbolt34' => HostLink::Thunderbolt,
        'thunderbolt40gbs' => HostLink::Thunderbolt,
        'thunderbolt3440gbs' => HostLink::Thunderbolt,
        'thunderbolt340gbs' => HostLink::Thunderbolt,
        'thunderbolt440gbs' => HostLink::Thunderbolt,
        'usb4' => HostLink::Usb4,
        'usb440gbs' => HostLink::Usb4,
        'usb40gbs' => HostLink::Usb4,
        'sata' => HostLink::Sata3,
        'sataiii' => HostLink::Sata3,
        'sata3' => HostLink::Sata3,
        'sata6gbs' => HostLink::Sata3,
        '1gbe' => HostLink::Gigabit,
        '1gbethernet' => HostLink::Gigabit,
        '1gbs' => HostLink::Gigabit,
        '1gbsethernet' => HostLink::Gigabit,
        'gigabit' => HostLink::Gigabit,
        'gigabitethernet' => HostLink::Gigabit,
        '10gbe' => HostLink::TenGigabit,
        '10gbethernet' => HostLink::TenGigabit,
        '10gbsethernet' => HostLink::TenGigabit,
    ];

    /** @param  Form|null  $form  of the card: which of those that go by one name, as each CFexpress 2.0 does, is meant */
    public static function bus(string $text, ?Form $form = null): ?Bus
    {
        foreach ($form?->buses() ?? [] as $bus) {
            if (self::key($bus->label()) === self::key($text)) {
                return $bus;
            }
        }

        return Bus::tryFrom(trim($text)) ?? (self::BUSES[str_replace('type', '', self::key($text))] ?? null);
    }

    /** Whether some card has a bus of that name. */
    public static function isBus(string $text): bool
    {
        return array_filter(Form::cases(), fn (Form $form): bool => self::bus($text, $form) !== null) !== [];
    }

    public static function link(string $text): ?HostLink
    {
        return HostLink::tryFrom(trim($text)) ?? (self::LINKS[self::key($text)] ?? null);
    }

    /** Letters and digits in small letters: how somebody sets hyphens, dots and blanks tells nothing. */
    private static function key(string $text): string
    {
        return (string) preg_replace('/[^a-z0-9]+/', '', strtolower(str_replace('×', 'x', $text)));
    }
}
