<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use PHPUnit\Framework\TestCase;
use Tally\Chain\CeilingOrigin;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Basis\RateOf;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;
use Tally\Offload\Reckon\Network;
use Tally\Offload\WayHome;
use Tally\Offload\WaysHome;

/** All ways of one card, by the figures that plans are reckoned with. */
final class WaysHomeTest extends TestCase
{
    private const USB2 = 40e6;

    private const GEN1 = 450e6;

    private const GEN2 = 1050e6;

    /**
     * @param  list<Reader>|null  $readers
     * @param  list<Host>|null  $hosts
     * @param  list<Drive>|null  $drives
     */
    private static function question(?array $readers = null, ?array $hosts = null, ?array $drives = null, ?LadenCard $card = null): Question
    {
        return new Question(
            $hosts ?? [self::host('Tower', ['port 1' => self::GEN2, 'port 2' => self::GEN1])],
            $readers ?? [self::reader()],
            $drives ?? [self::drive('D1')],
            [$card ?? self::card()],
        );
    }

    /** @param  array<string, float>  $ports  name → bytes a second */
    private static function host(string $name, array $ports): Host
    {
        $of = array_map(fn (string $port, float $rate): Port => new Port($port, null, $rate), array_keys($ports), $ports);

        return new Host($name, [], $of);
    }

    private static function reader(string $name = 'R1', string $bus = 'uhs-ii', float $rate = 290e6): Reader
    {
        return new Reader($name, [new ReaderSlot('left', [$bus => $rate])], [], self::GEN1);
    }

    private static function drive(string $name, float $rate = 900e6, float $gb = 500, ?string $inside = null): Drive
    {
        return new Drive($name, $rate, $rate, $gb * 1e9, inside: $inside, link: self::GEN2);
    }

    /** @param  array<string, float>  $readIn */
    private static function card(float $read = 238e6, float $gb = 96, array $readIn = [], string $bus = 'uhs-ii'): LadenCard
    {
        return new LadenCard('QS-1', $gb * 1e9, 0, $read, buses: [$bus], readIn: $readIn);
    }

    /**
     * @param  list<KnownRate>  $rates
     * @return array{list<WayHome>, list<string>}
     */
    private static function all(Question $of, array $rates = []): array
    {
        return WaysHome::of($of->hosts, $of->readers, $of->drives, $of->cards[0], rates: $rates, connection: 'SD with UHS-II');
    }

    /**
     * @param  list<KnownRate>  $rates
     * @return list<WayHome>
     */
    private static function ways(Question $question, array $rates = []): array
    {
        return self::all($question, $rates)[0];
    }

    private static function best(Question $question): WayHome
    {
        return self::ways($question)[0] ?? self::fail('There is no way.');
    }

    public function test_the_slowest_link_sets_the_time_and_is_named(): void
    {
        $way = self::best(self::question());
        self::assertSame('QS-1', $way->path->pinch()->name);
        self::assertEqualsWithDelta(96e9 / 238e6, $way->copy()->seconds, 1e-6);
        $slow = self::best(self::question(drives: [self::drive('D3', 212e6)]));
        self::assertSame('D3 writing', $slow->path->pinch()->name);
        // Verifying reads the copy again.
        self::assertEqualsWithDelta(96e9 / 212e6, $slow->verify()->seconds, 1e-6);
        self::assertEqualsWithDelta($slow->copy()->seconds + $slow->verify()->seconds, $slow->total()->seconds, 1e-9);
    }

    public function test_a_fast_card_in_a_one_row_reader_pinches_at_the_bus_unless_more_was_measured_there(): void
    {
        $card = self::card(bus: 'uhs-i');
        $oneRow = [self::reader('R3', 'uhs-i', 95e6)];
        self::assertSame('UHS-I in R3', self::best(self::question($oneRow, card: $card))->path->pinch()->name);
        $seen = self::card(readIn: ['R3' => 99e6], bus: 'uhs-i');
        self::assertSame(99.0, self::best(self::question($oneRow, card: $seen))->path->usable()->megabytes());
        // What was measured in another reader says nothing of this one.
        $elsewhere = self::card(readIn: ['R2' => 99e6], bus: 'uhs-i');
        self::assertSame(95.0, self::best(self::question($oneRow, card: $elsewhere))->path->usable()->megabytes());
    }

    public function test_a_device_on_a_slower_port_runs_at_the_ports_rate(): void
    {
        $way = self::best(self::question(hosts: [self::host('Old', ['a' => self::USB2, 'b' => self::USB2])]));
        self::assertSame([40.0, 'R1 at Old a'], [$way->path->usable()->megabytes(), $way->path->pinch()->name]);
    }

    public function test_reader_and_drive_take_the_ports_that_serve_the_copy_best(): void
    {
        $ports = ['slow' => self::USB2, 'fast' => self::GEN2, 'middle' => self::GEN1];
        $way = self::best(self::question(hosts: [self::host('Tower', $ports)]));
        self::assertSame('QS-1', $way->path->pinch()->name, 'neither of them is on the slow port');
    }

    public function test_a_host_with_one_port_takes_a_reader_and_a_drive_that_is_built_into_it(): void
    {
        $hosts = [self::host('Slate', ['only' => 3e9]), self::host('Elsewhere', ['a' => 3e9])];
        self::assertSame([], self::ways(self::question(hosts: $hosts)));
        $inside = self::ways(self::question(hosts: $hosts, drives: [self::drive('D4', inside: 'Slate')]));
        self::assertSame([['D4', 'Slate']], array_map(fn (WayHome $way): array => [$way->drive, $way->host], $inside));
    }

    public function test_drives_without_room_and_readers_without_a_slot_are_left_out_and_named(): void
    {
        $question = self::question(
            [self::reader(), self::reader('R5', 'cfexpress-2-b', 1.7e9)],
            drives: [self::drive('D1', gb: 96), self::drive('D6', gb: 90)],
        );
        [$ways, $leftOut] = self::all($question);
        self::assertSame(['D6 has 90 GB free; 96 GB are to be copied.', 'R5 does not take SD with UHS-II.'], $leftOut);
        self::assertCount(1, $ways);
    }

    public function test_ways_are_ranked_by_when_the_copy_is_verified_and_each_is_listed_once(): void
    {
        $drives = [self::drive('slow', 100e6), self::drive('fast', 900e6), self::drive('middle', 300e6)];
        $order = array_map(fn (WayHome $way): string => $way->drive, self::ways(self::question(drives: $drives)));
        self::assertSame(['fast', 'middle', 'slow'], $order);

        $readers = array_map(fn (int $i): Reader => self::reader("R{$i}"), range(1, 6));
        $ports = array_fill_keys(['p1', 'p2', 'p3', 'p4'], self::GEN2);
        $hosts = array_map(fn (int $i): Host => self::host("H{$i}", $ports), range(1, 5));
        $drives = array_map(fn (int $i): Drive => self::drive("D{$i}", 100e6 * $i), range(1, 10));
        $ways = self::ways(self::question($readers, $hosts, $drives));
        $named = array_unique(array_map(fn (WayHome $way): string => "{$way->reader} {$way->host} {$way->drive}", $ways));
        self::assertSame([300, 300], [count($ways), count($named)]);
    }

    public function test_a_hub_that_both_pass_is_a_link_of_its_own_and_halved_where_it_has_one_ceiling_for_both_ways(): void
    {
        $controllers = [new Controller('board', 1e9), new Controller('hub H1', 60e6, true, 'board')];
        $host = new Host('Cart', $controllers, [new Port('hub H1 1', 'hub H1', self::GEN1), new Port('hub H1 2', 'hub H1', self::GEN1)]);
        $way = self::best(self::question(hosts: [$host]));
        self::assertSame([30.0, 'controller hub H1 of Cart'], [$way->path->usable()->megabytes(), $way->path->pinch()->name]);
        self::assertSame(60.0, $way->back->usable()->megabytes());
    }

    public function test_where_each_figure_is_from_goes_with_it(): void
    {
        $rate = fn (RateOf $of, string $thing, float $rate, CeilingOrigin $origin, string $how): KnownRate => new KnownRate(
            $of,
            $thing,
            '',
            $rate,
            origin: $origin,
            how: $how,
            low: 0.9 * $rate,
            high: $rate,
        );
        $rates = [
            $rate(RateOf::Card, 'QS-1', 80e6, CeilingOrigin::Claim, 'its label'),
            $rate(RateOf::Uplink, 'R1', self::GEN1, CeilingOrigin::Measurement, 'five copies'),
        ];
        $question = self::question(card: self::card(80e6));
        $way = self::ways($question, $rates)[0] ?? self::fail('There is no way.');
        self::assertSame('80 MB/s, claim: its label', $way->path->pinch()->ceiling->describe());
        self::assertSame(CeilingOrigin::Measurement, $way->path->links[2]->ceiling->origin);
        $reach = WaysHome::reach($question->cards[0], $question->readers[0], $question->hosts, $rates);
        self::assertSame(['QS-1', 'UHS-II in R1', 'R1 at Tower port 1'], array_map(fn ($link): string => $link->name, $reach->links ?? []));
        self::assertNull(WaysHome::reach(self::card(bus: 'cfast'), $question->readers[0], $question->hosts, $rates));
    }

    public function test_a_way_is_as_fast_as_a_plan_that_goes_by_it(): void
    {
        $hosts = [self::host('Tower', ['a' => self::GEN2, 'b' => self::USB2]), self::host('Cart', ['a' => self::GEN1, 'b' => self::GEN1])];
        $drives = [self::drive('D1', 212e6), self::drive('D2'), self::drive('D4', 700e6, inside: 'Cart')];
        foreach (self::ways(self::question([self::reader(), self::reader('R3', 'uhs-ii', 95e6)], $hosts, $drives)) as $way) {
            $links = [];
            foreach ($way->path->links as $link) {
                [$thing, $port] = [...explode(' at ', $link->name), ''];
                $links += $port === '' ? [] : [$thing => $port];
            }
            $question = self::question([self::reader($way->reader, 'uhs-ii', $way->reader === 'R3' ? 95e6 : 290e6)], $hosts, $drives);
            $network = new Network($question, $links);
            $at = (int) array_search($way->drive, array_map(fn (Drive $drive): string => $drive->name, $drives), true);
            $rate = min($network->copy(0, 0, [$at])->ceiling ?? 0.0, $drives[$at]->write);
            self::assertEqualsWithDelta($rate, $way->path->usable()->bytesPerSecond, 1.0, "{$way->reader} {$way->host} {$way->drive}");
        }
    }
}
