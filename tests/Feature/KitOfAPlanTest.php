<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kit\KitKind;
use App\Models\Kit\Adapter;
use App\Models\Kit\Host;
use App\Models\Kit\Hub;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Offload\KitGear;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Chain\CeilingOrigin;
use Tally\Chain\HostLink;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Basis\RateOf;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Host as PlanHost;
use Tally\Offload\Question\Port as PlanPort;
use Tests\TestCase;

/** What a plan takes from the kit beside readers, ports and drives: hubs, adapters, and how fast imports with previews go. */
final class KitOfAPlanTest extends TestCase
{
    /** @return KnownRate|null what a plan goes by */
    private static function rate(KitGear $kit, RateOf $of, string $thing, string $in = ''): ?KnownRate
    {
        foreach ($kit->rates as $rate) {
            if ($rate->key() === KnownRate::keyOf($of, $thing, $in)) {
                return $rate;
            }
        }

        return null;
    }

    public function test_ports_of_a_dock_are_ports_of_the_host_behind_its_link_and_its_own_port_is_taken(): void
    {
        $this->post('/kit/hubs', [
            'tag' => 'h9',
            'name' => 'bench dock',
            'uplink' => 'usb-gen2',
            'port_id' => (string) Port::query()->where('name', 'port 1')->firstOrFail()->id,
            'ports' => [['name' => 'a', 'link' => 'usb-gen1'], ['name' => 'b', 'link' => 'usb2']],
        ])->assertRedirect('/kit/hubs/H9');
        $kit = KitGear::take(false);
        $cart = array_values(array_filter($kit->hosts, fn ($host): bool => $host->name === 'Cart tower'))[0];
        $ports = array_map(fn (PlanPort $port): string => $port->name, $cart->ports);
        self::assertContains('hub H9 a', $ports);
        self::assertNotContains('port 1', $ports, 'the dock sits in it');
        $hub = array_values(array_filter($cart->controllers, fn (Controller $one): bool => $one->name === 'hub H9'))[0];
        // The dock is slower than the port it sits in.
        self::assertSame(HostLink::UsbGen2->ceiling()->usable()->bytesPerSecond, $hub->ceiling);
        self::assertSame('rear', $hub->behind);
        $half = array_values(array_filter($cart->ports, fn (PlanPort $port): bool => $port->name === 'hub H9 b'))[0];
        self::assertTrue($half->isHalf);
        self::assertSame('hub H9', $half->controller);
        self::assertSame($hub->ceiling, self::rate($kit, RateOf::Controller, 'Cart tower', 'hub H9')?->rate);

        $state = KitKind::Hubs->section()->form('H9')?->state();
        $same = ['tag' => 'H9', 'name' => 'bench dock', 'uplink' => 'usb-gen2', 'ports' => [['name' => 'a', 'link' => 'usb-gen1']]];
        $this->put('/kit/hubs/H9', [...$same, 'port_id' => '', 'state' => $state])->assertSessionHasNoErrors();
        self::assertNull(Hub::query()->where('tag', 'H9')->firstOrFail()->port_id);
        self::assertNull(self::rate(KitGear::take(false), RateOf::Controller, 'Cart tower', 'hub H9'), 'in no port it is of no use');
        $this->delete('/kit/hubs/H9')->assertRedirect('/kit');
        self::assertSame(1, Hub::query()->count());
    }

    public function test_a_sleeve_with_one_row_makes_a_slot_of_uhs_ii_one_of_uhs_i(): void
    {
        $this->post('/kit/adapters', [
            'tag' => 'a9',
            'name' => 'sleeve',
            'buses' => ['uhs-i'],
            'measured' => '71 MB/s',
            'measured_how' => 'three copies',
        ])->assertRedirect('/kit/adapters/A9');
        $adapter = Adapter::query()->where('tag', 'A9')->firstOrFail();
        $reader = Reader::query()->with('slots')->where('tag', 'R1')->firstOrFail();
        $card = $this->card(['bus' => 'uhs-ii'])->label();
        self::assertSame('uhs-ii', $card->settleIn($reader->buses())?->value);
        $slots = [];
        foreach (['left', 'right'] as $name) {
            $slots[] = ['name' => $name, 'lane' => 'A', 'buses' => ['uhs-ii'], 'adapter_id' => (string) $adapter->id];
        }
        $this->put('/kit/readers/R1', [
            'tag' => 'R1',
            'name' => $reader->name,
            'uplink' => $reader->uplink->value,
            'slots' => $slots,
            'state' => KitKind::Readers->section()->form('R1')?->state(),
        ])->assertSessionHasNoErrors();
        // What is measured through it is not blamed on the card either.
        self::assertSame('uhs-i', $card->settleIn(Reader::query()->where('tag', 'R1')->firstOrFail()->buses())?->value);
        $kit = KitGear::take(false);
        $r1 = array_values(array_filter($kit->readers, fn ($one): bool => $one->name === 'R1'))[0];
        self::assertSame(71e6, max([0.0, ...array_values($r1->slots[0]->buses)]), 'measured through it');
        self::assertArrayNotHasKey('uhs-ii', $r1->slots[0]->buses);
        self::assertSame('A9: three copies', self::rate($kit, RateOf::Slots, 'R1')?->how);
        $this->delete('/kit/adapters/A9')->assertSessionHasErrors('delete');
        self::assertTrue(Adapter::query()->whereKey($adapter->id)->exists(), 'it is in a slot');
    }

    public function test_previews_count_where_they_were_timed_and_are_asked_for(): void
    {
        $host = Host::query()->where('name', 'Skiff laptop')->firstOrFail();
        $ports = $host->ports->map(fn (Port $port): array => [
            'id' => $port->id,
            'name' => $port->name,
            'link' => $port->link->value,
            'controller' => $port->controller,
        ])->all();
        $timed = ['preview_files' => '300', 'preview_time' => '2:00', 'preview_how' => 'one import'];
        $sent = ['name' => $host->name, 'ports' => $ports, ...$timed];
        $key = (string) $host->id;
        $this->put("/kit/hosts/{$key}", [...$sent, 'state' => KitKind::Hosts->section()->form($key)?->state()])->assertSessionHasNoErrors();
        $named = function (KitGear $kit, string $name): PlanHost {
            return array_values(array_filter($kit->hosts, fn ($one): bool => $one->name === $name))[0];
        };
        $of = fn (KitGear $kit): float => $named($kit, $host->name)->previews;
        self::assertSame(2.5, $of(KitGear::take(true)));
        self::assertSame(INF, $of(KitGear::take(false)));
        self::assertSame(2.3, $named(KitGear::take(true), 'Archive desk')->previews, 'no faster than the slowest that was timed');
        self::assertSame(CeilingOrigin::Measurement, self::rate(KitGear::take(true), RateOf::Previews, $host->name)?->origin);
        foreach ([['preview_time' => ''], ['preview_files' => ''], ['preview_how' => ''], ['preview_files' => '2.5']] as $wrong) {
            $state = KitKind::Hosts->section()->form($key)?->state();
            $this->put("/kit/hosts/{$key}", [...$sent, ...$wrong, 'state' => $state])->assertSessionHasErrors(array_keys($wrong)[0]);
        }
        self::assertSame(300, $host->refresh()->preview_files);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> */
    public static function mistakes(): iterable
    {
        $hub = ['tag' => 'H9', 'name' => 'dock', 'uplink' => 'usb-gen2', 'ports' => [['name' => 'a', 'link' => 'usb2']]];
        yield 'no ports' => ['hubs', [...$hub, 'ports' => []], 'ports', 'A hub without a port takes nothing. Add one.'];
        yield 'two alike' => [
            'hubs',
            [...$hub, 'ports' => [['name' => 'a', 'link' => 'usb2'], ['name' => 'A', 'link' => 'usb2']]],
            'ports',
            'Two ports have the same name. Tell them apart.',
        ];
        $sentence = 'This port is no longer in the kit. Choose another one.';
        yield 'no such port' => ['hubs', [...$hub, 'port_id' => '9999'], 'port_id', $sentence];
        yield 'no such link' => ['hubs', [...$hub, 'uplink' => 'rope'], 'uplink', 'The link “rope” is not one of the list. Choose one.'];
        yield 'passes nothing' => [
            'adapters',
            ['tag' => 'A9', 'name' => 'x', 'buses' => []],
            'buses',
            'Tick the buses that it passes. One row of contacts passes no UHS-II.',
        ];
    }

    /** @param  array<string, mixed>  $sent */
    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence_and_nothing_is_kept(string $kind, array $sent, string $field, string $sentence): void
    {
        $this->post("/kit/{$kind}", $sent)->assertSessionHasErrors([$field => $sentence]);
        self::assertSame([1, 1], [Hub::query()->count(), Adapter::query()->count()]);
    }

    public function test_two_docks_do_not_sit_in_one_port(): void
    {
        $taken = (string) Hub::query()->where('tag', 'H1')->firstOrFail()->port_id;
        $hub = ['tag' => 'H9', 'name' => 'dock', 'uplink' => 'usb-gen2', 'ports' => [['name' => 'a', 'link' => 'usb2']]];
        $this->post('/kit/hubs', [...$hub, 'port_id' => $taken])->assertSessionHasErrors([
            'port_id' => 'Another hub sits in that port. Choose another one, or take that hub out.',
        ]);
    }
}
