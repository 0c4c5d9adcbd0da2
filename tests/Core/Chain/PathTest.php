<?php

declare(strict_types=1);

namespace Tests\Core\Chain;

use InvalidArgumentException;
use PHPUnit\Framework\TestCase;
use Tally\Chain\Ceiling;
use Tally\Chain\CeilingOrigin;
use Tally\Chain\HostLink;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Chain\Practice;
use Tally\Label\Bus;
use Tally\Quantity\Rate;

final class PathTest extends TestCase
{
    private static function link(string $name, float $nominal, ?float $practical = null): Link
    {
        return new Link(
            $name,
            new Ceiling(
                Rate::megabytesPerSecond($nominal),
                $practical === null ? null : Practice::megabytes(0.8 * $practical, $practical),
                'test',
            ),
        );
    }

    public function test_it_is_as_fast_as_its_slowest_link(): void
    {
        $path = new Path([self::link('card', 312, 290), self::link('reader', 500, 450), self::link('drive', 212)]);
        self::assertSame('drive', $path->pinch()->name);
        self::assertSame(212.0, $path->usable()->megabytes());
        self::assertSame('card → reader → drive', $path->describe());
    }

    public function test_what_practice_gives_decides_the_pinch_and_what_the_standard_gives_decides_the_nominal(): void
    {
        $path = new Path([self::link('on paper slower', 400), self::link('in practice slower', 500, 380)]);
        self::assertSame('in practice slower', $path->pinch()->name);
        self::assertSame(400.0, $path->nominal()->megabytes());
    }

    public function test_the_first_of_equal_links_is_named(): void
    {
        self::assertSame('a', (new Path([self::link('a', 100), self::link('b', 100)]))->pinch()->name);
    }

    public function test_it_can_be_led_on(): void
    {
        $longer = (new Path([self::link('a', 100)]))->with(self::link('b', 50));
        self::assertCount(2, $longer->links);
        self::assertSame('b, 50 MB/s', $longer->pinch()->describe());
    }

    public function test_a_path_of_nothing_is_refused(): void
    {
        $this->expectException(InvalidArgumentException::class);
        new Path([]);
    }

    public function test_its_practice_is_a_range_and_the_lowest_low_end_need_not_be_the_pinch(): void
    {
        $path = new Path([
            self::link('a', 500, 400),
            new Link('b', new Ceiling(Rate::megabytesPerSecond(500), Practice::megabytes(200, 450), 'test')),
        ]);
        self::assertSame('a', $path->pinch()->name);
        self::assertSame('200–400 MB/s', $path->practice()?->print());
        self::assertNull($path->with(self::link('c', 900))->practice(), 'of a link that nobody knows nothing is promised');
        self::assertNull(Path::unnamed()->practice());
    }

    public function test_a_path_stays_unnamed_with_more_links(): void
    {
        self::assertFalse(Path::unnamed()->with(self::link('drive', 60, 40))->isNamed);
    }

    public function test_links_in_series_give_no_more_than_the_least_of_each_end(): void
    {
        $slowest = Link::slowest(
            self::link('a', 500, 400),
            new Link('b', new Ceiling(Rate::megabytesPerSecond(500), Practice::megabytes(200, 450), 'test')),
        );
        self::assertSame(['a', '200–400 MB/s'], [$slowest->name, $slowest->ceiling->practice?->print()]);
    }

    public function test_a_measurement_wins_and_never_raises_what_is_sure(): void
    {
        $link = HostLink::Usb2->ceiling();
        self::assertSame('30–45 MB/s', $link->measuredAs(Rate::megabytesPerSecond(45), 'here')->practice?->print());
        self::assertSame('22 MB/s', $link->measuredAs(Rate::megabytesPerSecond(22), 'here')->practice?->print());
    }

    public function test_host_links_give_less_in_practice_than_on_paper(): void
    {
        foreach (HostLink::cases() as $link) {
            self::assertTrue($link->ceiling()->usable()->isBelow($link->ceiling()->nominal), $link->label());
        }
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
