<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\TestCase;
use Tally\Chain\Ceiling;
use Tally\Chain\CeilingOrigin;
use Tally\Chain\HostLink;
use Tally\Chain\Link;
use Tally\Label\Bus;
use Tally\Offload\OneCard\CardReach;
use Tally\Offload\OneCard\PortGear;
use Tally\Offload\OneCard\ReaderGear;
use Tally\Offload\OneCard\Source;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

final class CardReachTest extends TestCase
{
    /** @param  array<string, Ceiling>  $byReader */
    private static function source(?Ceiling $card = null, array $byReader = [], Bus $bus = Bus::UhsII): Source
    {
        return new Source('QS-1', [$bus], 'SD', Bytes::gigabytes(1), card: $card, byReader: $byReader);
    }

    private static function reader(Bus $bus = Bus::UhsII, ?Link $uplink = null): ReaderGear
    {
        return new ReaderGear('R1', [$bus], $uplink ?? HostLink::UsbGen1->link());
    }

    public function test_the_best_port_of_a_host_is_taken(): void
    {
        $ports = [new PortGear('Cart', 'slow', HostLink::Usb2->link()), new PortGear('Cart', 'fast', HostLink::UsbGen2->link())];
        $path = CardReach::best(self::source(), self::reader(), $ports);
        self::assertSame('R1 at Cart fast', $path?->links[1]->name);
        self::assertSame(290.0, $path->usable()->megabytes());
    }

    public function test_a_reader_that_does_not_take_the_card_gives_no_path(): void
    {
        self::assertNull(
            CardReach::best(self::source(), self::reader(Bus::CFexpress2B), [new PortGear('Cart', 'a', HostLink::UsbGen2->link())]),
        );
    }

    public function test_an_own_measurement_of_a_link_wins_over_practice(): void
    {
        $slow = new Link('USB 5 Gb/s', HostLink::UsbGen1->ceiling()->measuredAs(Rate::megabytesPerSecond(212), 'five copies'));
        $path = CardReach::best(self::source(), self::reader(uplink: $slow), [new PortGear('Cart', 'a', HostLink::UsbGen2->link())]);
        self::assertNotNull($path);
        self::assertSame([212.0, CeilingOrigin::Measurement], [$path->usable()->megabytes(), $path->pinch()->ceiling->origin]);
        // What the link carries on paper stays: no honest reading exceeds it.
        self::assertSame(500.0, $path->links[1]->ceiling->nominal->megabytes());
    }

    public function test_what_was_measured_in_a_reader_wins_over_the_practice_of_its_bus(): void
    {
        $port = [new PortGear('Cart', 'a', HostLink::UsbGen2->link())];
        $here = Ceiling::measured(Rate::megabytesPerSecond(99), 'run 4');
        $path = CardReach::best(self::source(byReader: ['R1' => $here], bus: Bus::UhsI), self::reader(Bus::UhsI), $port);
        self::assertSame(99.0, $path?->usable()->megabytes());
        $elsewhere = CardReach::best(self::source(byReader: ['R2' => $here], bus: Bus::UhsI), self::reader(Bus::UhsI), $port);
        self::assertSame(95.0, $elsewhere?->usable()->megabytes());
    }

    public function test_a_claim_is_told_from_a_measurement(): void
    {
        $claimed = Ceiling::claimed(Rate::megabytesPerSecond(80), 'the label’s claim');
        $path = CardReach::best(self::source($claimed), self::reader(), [new PortGear('Cart', 'a', HostLink::UsbGen2->link())]);
        self::assertSame('80 MB/s, claim: the label’s claim', $path?->pinch()->ceiling->describe());
    }

    public function test_where_figures_come_from(): void
    {
        self::assertSame(CeilingOrigin::Practice, Bus::UhsI->ceiling()->origin);
        self::assertSame(CeilingOrigin::Standard, Bus::UhsIII->ceiling()->origin);
        $beyond = HostLink::Usb2->ceiling()->measuredAs(Rate::megabytesPerSecond(70), 'odd');
        self::assertSame([70.0, 70.0], [$beyond->nominal->megabytes(), $beyond->usable()->megabytes()]);
    }

    public function test_a_device_on_a_cable_at_a_port_runs_at_the_least_of_the_three(): void
    {
        $links = [HostLink::UsbGen2->link(), HostLink::Usb2->link(), HostLink::UsbGen1->link()];
        self::assertSame('USB 480 Mb/s', Link::slowest(...$links)->name);
        self::assertSame('USB 10 Gb/s', Link::slowest(HostLink::UsbGen2->link())->name);
    }
}
