<?php

declare(strict_types=1);

namespace Tally\Chain;

use Tally\Quantity\Rate;

/** The link between a reader or drive and its host. */
enum HostLink: string
{
    case Usb2 = 'usb2';
    case UsbGen1 = 'usb-gen1';
    case UsbGen2 = 'usb-gen2';
    case UsbGen2x2 = 'usb-gen2x2';
    case Thunderbolt = 'thunderbolt';
    case Usb4 = 'usb4';
    case Sata3 = 'sata3';
    case Gigabit = 'ethernet-1g';
    case TenGigabit = 'ethernet-10g';

    public function label(): string
    {
        return match ($this) {
            self::Usb2 => 'USB 480 Mb/s',
            self::UsbGen1 => 'USB 5 Gb/s',
            self::UsbGen2 => 'USB 10 Gb/s',
            self::UsbGen2x2 => 'USB 20 Gb/s',
            self::Thunderbolt => 'Thunderbolt 40 Gb/s',
            self::Usb4 => 'USB4 40 Gb/s',
            self::Sata3 => 'SATA 6 Gb/s',
            self::Gigabit => '1 Gb Ethernet',
            self::TenGigabit => '10 Gb Ethernet',
        };
    }

    public function link(): Link
    {
        return new Link($this->label(), $this->ceiling());
    }

    /**
     * A camera used as its own reader gives 65 to 250 MB/s, far below its port: common practice, no source. The lower end is
     * taken until the house has measured it, so that no card is blamed for a camera.
     */
    public function ofCamera(): Link
    {
        $ceiling = $this->ceiling();
        $most = min(65, $ceiling->usable()->megabytes());

        return new Link(
            $this->label(),
            new Ceiling(
                $ceiling->nominal,
                Practice::megabytes(min($most, $ceiling->least()?->megabytes() ?? $most), $most),
                'a camera as reader, often 65–250 MB/s: 65 until it is measured',
            ),
        );
    }

    /**
     * Nominal: line rate × line coding (USB 3.2, SATA 3 specifications; IEEE 802.3 for Ethernet); the two 40 Gb/s links
     * are from memory. Practice: the range that the trade sees; common practice, no source.
     */
    public function ceiling(): Ceiling
    {
        [$nominal, $low, $high, $source] = match ($this) {
            self::Usb2 => [Rate::megabitsPerSecond(480), 30, 40, 'USB 2.0 specification'],
            self::UsbGen1 => [LineCoding::EightTen->payload(5), 400, 450, 'USB 3.2 specification, 8b/10b'],
            self::UsbGen2 => [LineCoding::OneThirtyTwo->payload(10), 950, 1050, 'USB 3.2 specification, 128b/132b'],
            self::UsbGen2x2 => [LineCoding::OneThirtyTwo->payload(10, 2), 1900, 2100, 'USB 3.2 specification, 128b/132b, two lanes'],
            self::Thunderbolt => [Rate::megabytesPerSecond(3938), 2700, 3000, 'from memory: 32 Gb/s PCIe share'],
            self::Usb4 => [Rate::megabytesPerSecond(4850), 2900, 3800, 'from memory'],
            self::Sata3 => [LineCoding::EightTen->payload(6), 520, 560, 'SATA 3 specification, 8b/10b'],
            self::Gigabit => [Rate::megabitsPerSecond(1000), 110, 118, 'IEEE 802.3'],
            self::TenGigabit => [Rate::megabitsPerSecond(10000), 1000, 1150, 'IEEE 802.3'],
        };

        return new Ceiling($nominal, Practice::megabytes($low, $high), $source);
    }
}
