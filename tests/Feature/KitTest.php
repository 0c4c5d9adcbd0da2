<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gear\ChainBuilder;
use App\Kit\KitKind;
use App\Models\Kit\Cable;
use App\Models\Kit\Camera;
use App\Models\Kit\Drive;
use App\Models\Kit\Host;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Stations\Slot;
use Illuminate\Support\ViewErrorBag;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Chain\CeilingOrigin;
use Tally\Offload\Question\DriveKind;
use Tests\TestCase;

final class KitTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function reader(array $with = []): array
    {
        return [
            'tag' => 'r7',
            'name' => 'a new reader',
            'uplink' => 'usb-gen2',
            'cable_id' => '',
            'measured' => '',
            'measured_how' => '',
            'slots' => [
                ['name' => 'left', 'lane' => 'a', 'buses' => ['uhs-ii']],
                ['name' => 'right', 'lane' => '', 'buses' => ['cfexpress-2-b', 'xqd-2']],
            ],
            ...$with,
        ];
    }

    public function test_a_reader_is_entered_with_its_slots_lanes_and_cable(): void
    {
        $cable = Cable::query()->where('tag', 'K4')->firstOrFail();
        $this->post('/kit/readers', self::reader(['cable_id' => (string) $cable->id]))->assertRedirect('/kit/readers/R7');
        $reader = Reader::query()
            ->with(['slots', 'cable'])
            ->where('tag', 'R7')
            ->firstOrFail();
        self::assertSame(['A', 'B'], $reader->slots->pluck('lane')->all());
        self::assertCount(3, $reader->buses());
        // The cable is rated for 480 Mb/s and was measured: that is all that comes through.
        self::assertSame(
            [36e6, CeilingOrigin::Measurement],
            [$reader->toHost()->ceiling->usable()->bytesPerSecond, $reader->toHost()->ceiling->origin],
        );
    }

    public function test_slots_can_be_changed_and_the_station_keeps_its_reader(): void
    {
        $this->put(
            '/kit/readers/R1',
            self::reader([
                'tag' => 'R1',
                'state' => KitKind::Readers->section()->form('R1')?->state(),
                'slots' => [['name' => 'one', 'lane' => 'A', 'buses' => ['uhs-i']]],
            ]),
        )->assertRedirect('/kit/readers/R1');
        $slot = Slot::query()
            ->with(['reader.slots', 'reader.cable', 'port.host'])
            ->where('name', 'Tray 1')
            ->firstOrFail();
        self::assertSame('UHS-I bus', ChainBuilder::path($this->card(['bus' => 'uhs-ii'])->label(), $slot)?->links[0]->name);
    }

    public function test_every_other_kind_is_entered_and_opened_again_the_same(): void
    {
        $this->post('/kit/cables', ['tag' => 'K9', 'name' => 'red', 'link' => 'usb-gen2'])->assertRedirect('/kit/cables/K9');
        $this->post('/kit/hosts', [
            'name' => 'Skiff two',
            'ports' => [
                [
                    'id' => 0,
                    'name' => 'left',
                    'link' => 'usb4',
                    'controller' => '',
                    'measured' => '2600 MB/s',
                    'measured_how' => 'two copies',
                ],
            ],
        ]);
        $host = Host::query()->with('ports')->where('name', 'Skiff two')->firstOrFail();
        self::assertSame([2.6e9, 'controller 1'], [$host->ports[0]?->measured?->bytesPerSecond, $host->ports[0]?->controller]);
        $this->post('/kit/drives', [
            'tag' => 'D9',
            'name' => 'box',
            'link' => 'usb-gen2',
            'kind' => 'spinning',
            'write' => '180',
            'read' => '1600 Mb/s',
            'cache' => '20 GB',
            'cache_write' => '400',
            'capacity' => '4 TB',
            'free' => '3 TB',
        ])->assertRedirect('/kit/drives/D9');
        $drive = Drive::query()->where('tag', 'D9')->firstOrFail();
        self::assertSame(
            [DriveKind::Spinning, 180e6, 200e6, 20_000_000_000, 4_000_000_000_000],
            [
                $drive->kind,
                $drive->write->bytesPerSecond,
                $drive->read->bytesPerSecond,
                $drive->cache?->count,
                $drive->capacity?->count,
            ],
        );
        $this->post('/kit/cameras', [
            'tag' => 'C9',
            'name' => 'spare body',
            'slots' => [['name' => 'A', 'buses' => ['uhs-ii', 'cfexpress-4-a']]],
        ])->assertRedirect('/kit/cameras/C9');
        self::assertCount(2, Camera::query()->with('slots')->where('tag', 'C9')->firstOrFail()->slots[0]->buses ?? []);
        foreach (['readers/R2', 'cables/K9', "hosts/{$host->id}", 'drives/D9', 'cameras/C9', 'readers/new', 'hosts/new'] as $page) {
            $this->get("/kit/{$page}")->assertInertia(
                fn (AssertableInertia $page): AssertableInertia => $page->component('KitItem', false)->has('form.fields'),
            );
        }
        $this->get('/kit')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->has('lists', 8)
                ->where('lists.0.items.0.lines.0', 'left: UHS-II, shares lane A')
                ->where('lists.0.items.0.ceilings.0.origin', 'practice')
                ->where('lists.1.items.3.ceilings.0.origin', 'own measurement')
                ->where('lists.3.items.0.lines.0', 'in Archive desk, front port')
                ->where('lists.4.items.0.lines.0', 'in no slot'),
        );
        $this->get('/kit/hosts/999')->assertNotFound();
        $this->get('/kit/tripods/1')->assertNotFound();
    }

    public function test_ports_keep_their_place_when_a_host_is_changed(): void
    {
        $host = Host::query()->with('ports')->where('name', 'Cart tower')->firstOrFail();
        $ports = $host->ports
            ->map(fn (Port $port): array => ['id' => $port->id, 'name' => $port->name, 'link' => 'usb2', 'controller' => 'one'])
            ->all();
        $state = fn (): string => KitKind::Hosts->section()->form((string) $host->id)?->state() ?? '';
        $this->put("/kit/hosts/{$host->id}", ['name' => 'Cart', 'ports' => $ports, 'state' => $state()])->assertSessionHasNoErrors();
        self::assertSame($host->ports->pluck('id')->all(), Port::query()->where('host_id', $host->id)->orderBy('id')->pluck('id')->all());
        $this->put("/kit/hosts/{$host->id}", ['name' => 'Cart', 'ports' => [], 'state' => $state()])->assertSessionHasErrors('delete');
        // A page that was loaded before says so by its state, and one that says none is not taken.
        foreach ([['state' => 'of before'], []] as $stale) {
            $this->put("/kit/hosts/{$host->id}", ['name' => 'Barrow', 'ports' => $ports, ...$stale])->assertSessionHasErrors('state');
        }
        self::assertSame('Cart', Host::query()->findOrFail($host->id)->name);
        self::assertCount(4, Port::query()->where('host_id', $host->id)->get());
    }

    public function test_what_others_hang_on_cannot_be_taken_out(): void
    {
        $this->delete('/kit/readers/R1')->assertSessionHasErrors('delete');
        $this->delete('/kit/cables/K1')->assertSessionHasErrors('delete');
        self::assertTrue(Reader::query()->where('tag', 'R1')->exists());
        self::assertCount(2, Reader::query()->with('slots')->where('tag', 'R1')->firstOrFail()->slots);
        $this->delete('/kit/cameras/C1')->assertRedirect('/kit');
        self::assertFalse(Camera::query()->where('tag', 'C1')->exists());
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> kind, what is sent, field, words */
    public static function mistakes(): iterable
    {
        yield 'no tag' => ['readers', self::reader(['tag' => '']), 'tag', 'The tag is empty'];
        yield 'a tag no address carries' => ['readers', self::reader(['tag' => 'R/7']), 'tag', 'has a character'];
        yield 'a tag that is taken' => ['readers', self::reader(['tag' => 'R1']), 'tag', 'is the tag of another one already'];
        yield 'no name' => ['readers', self::reader(['name' => ' ']), 'name', 'The name is empty'];
        yield 'no such link' => ['readers', self::reader(['uplink' => 'usb9']), 'uplink', 'The link “usb9” is not one of the list'];
        yield 'a cable nobody has' => ['readers', self::reader(['cable_id' => '999']), 'cable_id', 'no longer in the kit'];
        yield 'no slot' => ['readers', self::reader(['slots' => []]), 'slots', 'reads nothing'];
        yield 'two slots of one name' => [
            'readers',
            self::reader(['slots' => [['name' => 'a', 'buses' => ['uhs-i']], ['name' => 'a', 'buses' => ['uhs-i']]]]),
            'slots',
            'the same name',
        ];
        yield 'a slot without a bus' => [
            'readers',
            self::reader(['slots' => [['name' => 'a', 'buses' => []]]]),
            'slots.0.buses',
            'Tick the buses',
        ];
        yield 'a bus nobody knows' => [
            'readers',
            self::reader(['slots' => [['name' => 'a', 'buses' => ['uhs-ix']]]]),
            'slots.0.buses',
            '“uhs-ix” is not one',
        ];
        yield 'a figure that is none' => [
            'readers',
            self::reader(['measured' => 'fast', 'measured_how' => 'by eye']),
            'measured',
            '“fast” is not a speed',
        ];
        yield 'a figure from nowhere' => ['readers', self::reader(['measured' => '430 MB/s']), 'measured_how', 'Say how it was measured'];
        yield 'a host of a known name' => ['hosts', ['name' => 'Cart tower', 'ports' => []], 'name', 'is called “Cart tower” already'];
        yield 'a drive that holds less than is free' => [
            'drives',
            ['tag' => 'D9', 'name' => 'x', 'link' => 'usb2', 'write' => '30', 'read' => '30', 'capacity' => '1 TB', 'free' => '2 TB'],
            'free',
            '2 TB cannot be free on a drive of 1 TB',
        ];
        yield 'a cache without a speed' => [
            'drives',
            ['tag' => 'D9', 'name' => 'x', 'link' => 'usb2', 'write' => '30', 'read' => '30', 'cache' => '9 GB', 'free' => '2 TB'],
            'cache_write',
            'a size and a speed',
        ];
        yield 'no steady write' => [
            'drives',
            ['tag' => 'D9', 'name' => 'x', 'link' => 'usb2', 'read' => '30', 'free' => '2 TB'],
            'write',
            'The steady write is empty',
        ];
        yield 'a list for a name' => ['cables', ['tag' => 'K9', 'name' => ['x'], 'link' => 'usb2'], 'name', 'The name is empty'];
    }

    /** @param  array<string, mixed>  $sent */
    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence_and_nothing_is_kept(string $kind, array $sent, string $field, string $words): void
    {
        $before = [Reader::query()->count(), Cable::query()->count(), Host::query()->count(), Drive::query()->count()];
        $this->post("/kit/{$kind}", $sent)->assertSessionHasErrors($field);
        $errors = session('errors');
        self::assertInstanceOf(ViewErrorBag::class, $errors);
        self::assertStringContainsString($words, $errors->first($field));
        self::assertSame($before, [Reader::query()->count(), Cable::query()->count(), Host::query()->count(), Drive::query()->count()]);
    }

    public function test_the_sheet_says_what_fits_where_at_what_rate_and_why_less(): void
    {
        $card = $this->card(['bus' => 'uhs-i', 'read' => 170e6, 'stand_in' => 'honest,size=32GB,write=39MB/s,read=164MB/s']);
        // Handbook § 4, common practice: 170 claimed reads about 90 in an ordinary reader, 164 in the matching one.
        $this->conduct($card, 'speed', 'Tray 4');
        $this->get('/kit/sheet/T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Fits', false)
                ->where('sheet.columns', ['Archive desk', 'Cart tower', 'Skiff laptop'])
                ->where('sheet.rows.0.cells.0.rate', 95)
                ->where('sheet.rows.0.cells.0.why', 'UHS-I bus')
                ->where('sheet.rows.3.cells.0.why', 'the card itself')
                ->where('sheet.rows.3.cells.0.rate', fn (mixed $rate): bool => is_numeric($rate) && abs((float) $rate - 164) < 3)
                ->where('sheet.rows.3.cells.0.origin', fn (string $origin): bool => str_starts_with($origin, 'own measurement: run'))
                ->where('sheet.rows.4.cells.0.rate', null)
                ->where('sheet.rows.4.cells.0.why', 'does not take it'),
        );
        $this->get('/kit/sheet')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('sheet.columns', ['R1', 'R2', 'R3', 'R4', 'R5', 'R6', 'RC'])
                ->where('sheet.rows.0.cells.3.origin', 'measured'),
        );
    }

    public function test_a_reader_and_a_drive_of_one_tag_are_refused_and_one_of_before_is_told_and_ends_nothing_else(): void
    {
        $drive = ['tag' => 'R1', 'name' => 'box', 'link' => 'usb-gen2', 'write' => '180', 'read' => '200', 'free' => '1 TB'];
        $said = '“R1” is the tag of another one already. Choose another code.';
        $this->post('/kit/drives', $drive)->assertSessionHasErrors(['tag' => $said]);
        $this->card(['footage' => 2_000_000_000]);
        Drive::query()->where('tag', 'D1')->update(['tag' => 'R1']);
        $this->get('/offload')->assertStatus(409)->assertSee('Tell them apart.')->assertSee('Mend it in the kit');
        $this->get('/offload/T-1')->assertOk();
        $this->get('/kit/sheet/T-1')->assertOk();
    }
}
