<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\TestCase;
use Tally\Chain\Ceiling;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Offload\OneCard\DriveGear;
use Tally\Offload\OneCard\PortGear;
use Tally\Offload\OneCard\ReaderGear;
use Tally\Offload\OneCard\Route;
use Tally\Offload\OneCard\RouteFinder;
use Tally\Offload\OneCard\Source;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

final class RouteFinderTest extends TestCase
{
    /**
     * @param  list<ReaderGear>|null  $readers
     * @param  list<PortGear>|null  $ports
     * @param  list<DriveGear>|null  $drives
     */
    private static function finder(?array $readers = null, ?array $ports = null, ?array $drives = null): RouteFinder
    {
        return new RouteFinder(
            $readers ?? [new ReaderGear('R1', [Bus::UhsII], HostLink::UsbGen1->link())],
            $ports ?? [
                new PortGear('Tower', 'port 1', HostLink::UsbGen2->link()),
                new PortGear('Tower', 'port 2', HostLink::UsbGen1->link()),
            ],
            $drives ?? [self::drive('D1')],
        );
    }

    private static function drive(
        string $name,
        float $write = 900,
        int $free = 500,
        ?string $inside = null,
        HostLink $link = HostLink::UsbGen2,
    ): DriveGear {
        return new DriveGear(
            $name,
            $link->link(),
            Rate::megabytesPerSecond($write),
            Rate::megabytesPerSecond($write),
            free: Bytes::gigabytes($free),
            inside: $inside,
        );
    }

    /** @param  array<string, Ceiling>  $byReader */
    private static function card(float $read = 238, int $gb = 96, array $byReader = [], Bus $bus = Bus::UhsII): Source
    {
        return new Source(
            'QS-1',
            [$bus],
            'SD with '.$bus->label(),
            Bytes::gigabytes($gb),
            card: Ceiling::measured(Rate::megabytesPerSecond($read), 'measured'),
            byReader: $byReader,
        );
    }

    private static function best(RouteFinder $finder, Source $source): Route
    {
        $best = $finder->find($source)->best();
        self::assertNotNull($best);

        return $best;
    }

    public function test_the_slowest_link_sets_the_time_and_is_named(): void
    {
        $route = self::best(self::finder(), self::card());
        self::assertSame('QS-1', $route->path->pinch()->name);
        self::assertEqualsWithDelta(96e9 / 238e6, $route->copy()->seconds, 1e-6);
        $slow = self::best(self::finder(drives: [self::drive('D3', 212)]), self::card());
        self::assertSame('D3 writing', $slow->path->pinch()->name);
    }

    public function test_verifying_reads_the_copy_again(): void
    {
        $route = self::best(self::finder(drives: [self::drive('D3', 212)]), self::card());
        self::assertEqualsWithDelta(96e9 / 212e6, $route->verify()->seconds, 1e-6);
        self::assertEqualsWithDelta($route->copy()->seconds + $route->verify()->seconds, $route->total()->seconds, 1e-9);
    }

    public function test_a_fast_card_in_a_one_row_reader_pinches_at_the_bus(): void
    {
        $route = self::best(self::finder([new ReaderGear('R3', [Bus::UhsI], HostLink::UsbGen1->link())]), self::card());
        self::assertSame('UHS-I in R3', $route->path->pinch()->name);
    }

    public function test_what_was_measured_in_a_reader_wins_there(): void
    {
        $measured = ['R1' => Ceiling::measured(Rate::megabytesPerSecond(150), 'measured in R1')];
        self::assertSame(150.0, self::best(self::finder(), self::card(byReader: $measured))->path->usable()->megabytes());
    }

    public function test_a_device_on_a_slower_port_runs_at_the_ports_rate(): void
    {
        $ports = [new PortGear('Old', 'a', HostLink::Usb2->link()), new PortGear('Old', 'b', HostLink::Usb2->link())];
        $route = self::best(self::finder(ports: $ports), self::card());
        self::assertSame(40.0, $route->path->usable()->megabytes());
        self::assertStringContainsString('R1 at Old', $route->path->pinch()->name);
    }

    public function test_reader_and_drive_take_the_ports_that_serve_the_copy_best(): void
    {
        $ports = [
            new PortGear('Tower', 'slow', HostLink::Usb2->link()),
            new PortGear('Tower', 'fast', HostLink::UsbGen2->link()),
            new PortGear('Tower', 'middle', HostLink::UsbGen1->link()),
        ];
        $route = self::best(self::finder(ports: $ports), self::card());
        self::assertSame('QS-1', $route->path->pinch()->name, 'neither of them is on the slow port');
    }

    public function test_a_host_with_one_port_cannot_take_reader_and_drive(): void
    {
        $ports = [new PortGear('Slate', 'only', HostLink::Thunderbolt->link())];
        self::assertNull(self::finder(ports: $ports)->find(self::card())->best());
        $inside = self::finder(ports: $ports, drives: [self::drive('D4', inside: 'Slate')]);
        self::assertSame('D4', self::best($inside, self::card())->drive);
    }

    public function test_a_built_in_drive_is_reached_from_its_own_host_only(): void
    {
        $routes = self::finder(drives: [self::drive('D4', inside: 'Elsewhere')])->find(self::card());
        self::assertNull($routes->best());
    }

    public function test_drives_without_room_and_readers_without_a_slot_are_left_out_and_named(): void
    {
        $finder = self::finder(
            [
                new ReaderGear('R1', [Bus::UhsII], HostLink::UsbGen1->link()),
                new ReaderGear('R5', [Bus::CFexpress2B], HostLink::UsbGen2x2->link()),
            ],
            drives: [self::drive('D1'), self::drive('D6', free: 90)],
        );
        $routes = $finder->find(self::card());
        self::assertSame(['D6 has 90 GB free; 96 GB are to be copied.', 'R5 does not take SD with UHS-II.'], $routes->leftOut);
        self::assertCount(1, $routes->ranked);
    }

    public function test_a_drive_with_just_enough_room_is_taken(): void
    {
        self::assertNotNull(self::finder(drives: [self::drive('D1', free: 96)])->find(self::card())->best());
    }

    public function test_routes_are_ranked_by_when_the_copy_is_verified(): void
    {
        $drives = [self::drive('slow', 100), self::drive('fast', 900), self::drive('middle', 300)];
        $order = array_map(fn (Route $route): string => $route->drive, self::finder(drives: $drives)->find(self::card())->ranked);
        self::assertSame(['fast', 'middle', 'slow'], $order);
    }

    public function test_an_unknown_card_is_reckoned_by_its_bus(): void
    {
        $source = new Source('QS-1', [Bus::UhsII], 'SD with UHS-II', Bytes::gigabytes(96));
        self::assertSame('UHS-II in R1', self::best(self::finder(), $source)->path->pinch()->name);
    }

    public function test_three_hundred_combinations_are_each_listed_once(): void
    {
        $readers = array_map(fn (int $i): ReaderGear => new ReaderGear("R{$i}", [Bus::UhsII], HostLink::UsbGen1->link()), range(1, 6));
        $ports = [];
        foreach (range(1, 5) as $host) {
            foreach (range(1, 4) as $port) {
                $ports[] = new PortGear("H{$host}", "p{$port}", HostLink::UsbGen2->link());
            }
        }
        $drives = array_map(fn (int $i): DriveGear => self::drive("D{$i}", 100 * $i), range(1, 10));
        $ranked = self::finder($readers, $ports, $drives)->find(self::card())->ranked;
        self::assertCount(300, $ranked);
        self::assertCount(
            300,
            array_unique(array_map(fn (Route $route): string => "{$route->reader} {$route->host} {$route->drive}", $ranked)),
        );
    }
}
