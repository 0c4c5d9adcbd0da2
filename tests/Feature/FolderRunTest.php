<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Artisan;
use Inertia\Testing\AssertableInertia;
use Tally\Measured\Instrument;
use Tests\Support\RealGear;
use Tests\TestCase;

/** What runs in folders may not do: write over footage, or take a folder on this computer for a card. */
final class FolderRunTest extends TestCase
{
    use RealGear;

    private function bay(string $path): int
    {
        config(['tally.folders' => ['/tmp'], 'tally.plain_folders' => ['/tmp']]);
        $slot = $this->slot('Bay 1');
        $slot->forceFill(['path' => $path])->save();

        return $slot->id;
    }

    public function test_no_run_writes_into_the_folder_of_a_card_whose_footage_is_not_secured(): void
    {
        $this->realCard('T-1');
        $slot = $this->bay($point = $this->medium('T-1'));
        foreach (['proof', 'screen', 'speed', 'sustained', 'files'] as $kind) {
            $order = ['kind' => $kind, 'slot' => $slot, 'size' => '2 MB', 'by' => 'Wren'];
            $this->post('/cards/T-1/runs', $order)->assertSessionHasErrors('lost');
            $said = $this->complaints()['lost'][0] ?? '';
            self::assertStringContainsString('not secured. On a card that starts over', $said);
            self::assertStringContainsString('Bring it home first; or write why it may be lost', $said);
            $this->flushSession();
        }
        foreach (['tally:prove', 'tally:screen', 'tally:speed'] as $command) {
            self::assertSame(2, Artisan::call($command, ['path' => $point, '--size' => '2MB', '--card' => 'T-1']), $command);
        }
        self::assertSame(0, Run::query()->count());
        // In writing, with a name, it goes.
        $this->post('/cards/T-1/runs', ['kind' => 'proof', 'slot' => $slot, 'size' => '2 MB', 'lost' => 'a copy of a copy'])
            ->assertSessionHasErrors('by');
        $this->flushSession();
        $this->post('/cards/T-1/runs', ['kind' => 'proof', 'slot' => $slot, 'size' => '2 MB', 'lost' => 'a copy of a copy', 'by' => 'Moss'])
            ->assertSessionHasNoErrors();
        self::assertSame(RunState::Done, $this->carryOut()->state);
        self::assertSame('a copy of a copy', Run::query()->firstOrFail()->may_be_lost);
        self::assertSame(0, Artisan::call('tally:prove', ['path' => $point, '--size' => '2MB', '--card' => 'T-1', '--lost' => 'worn out']));
    }

    public function test_footage_that_is_marked_between_order_and_run_stops_it_too(): void
    {
        $this->card(['tag' => 'T-1', 'stand_in' => null]);
        $slot = $this->bay($this->medium('T-1'));
        $this->post('/cards/T-1/runs', ['kind' => 'proof', 'slot' => $slot, 'size' => '2 MB', 'by' => 'Wren'])->assertSessionHasNoErrors();
        $this->marked('T-1', '1 GB');
        $run = $this->carryOut();
        self::assertSame(RunState::Failed, $run->state);
        self::assertStringContainsString('not secured', (string) $run->message);
    }

    public function test_secured_footage_stands_in_no_runs_way(): void
    {
        $this->realCard('T-1');
        $offload = $this->begunOn(['T-1' => $card = $this->medium('T-1')]);
        $this->in($offload->cards->firstOrFail());
        $this->work($offload);
        $slot = $this->bay($card);
        $this->post('/cards/T-1/runs', ['kind' => 'proof', 'slot' => $slot, 'size' => '2 MB', 'by' => 'Wren'])->assertSessionHasNoErrors();
    }

    public function test_a_run_in_larger_blocks_is_held_against_what_the_bench_gives_in_those(): void
    {
        $this->smallCard(64_000_000);
        $this->station()->update(['engine_write' => 1e12, 'engine_read' => 1e12]);
        $order = ['kind' => 'speed', 'slot' => $this->bay('/tmp'), 'size' => '16 MiB', 'runs' => 1];
        $gives = function (array $more) use ($order): ?Instrument {
            $this->post('/cards/T-1/runs', [...$order, ...$more])->assertSessionHasNoErrors();

            return $this->carryOut()->chain->instrument;
        };
        self::assertSame(1e12, $gives([])?->write?->bytesPerSecond);
        $larger = $gives(['block' => '8 MiB']);
        self::assertNotNull($larger?->write);
        self::assertLessThan(1e12, $larger->write->bytesPerSecond);
        self::assertLessThan(1e12, $larger->read?->bytesPerSecond);
    }

    public function test_a_plain_folder_is_marked_bounded_and_judges_nothing(): void
    {
        $card = $this->smallCard(4_000_000);
        $slot = $this->bay($this->folder());
        $this->get('/prove/T-1')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where(
            'order.slots',
            function (Collection $slots) use ($slot): bool {
                $plain = data_get($slots->firstWhere('id', $slot), 'plain');
                self::assertIsString($plain);
                self::assertStringContainsString('a folder on this computer, not a card', $plain);
                self::assertStringContainsString('At most 4.28 MB are written', $plain);

                return true;
            },
        ));
        // Nothing is said of how much: it ends at the size of the card and a margin, and not when the disk is full.
        $run = $this->conduct($card, 'proof', 'Bay 1');
        self::assertSame(RunState::Done, $run->state, (string) $run->message);
        self::assertSame(4_280_000, $run->proof()?->size->count);
        self::assertFalse($run->counts());
        self::assertSame('Unproven', Card::query()->firstOrFail()->verdict->value);
        // On a medium of its own the same run counts.
        $other = $this->smallCard(4_000_000, 'T-2');
        $this->bay($this->mounted('ext4', 16));
        self::assertTrue($this->conduct($other, 'proof', 'Bay 1', '2 MB')->counts());
    }

    public function test_a_folder_outside_is_refused_in_its_field_with_the_line_to_change(): void
    {
        config(['tally.folders' => ['/media', '/mnt']]);
        $slot = $this->slot('Bay 1')->load('reader', 'port');
        $with = ['name' => 'Bay 1', 'kind' => 'folder', 'reader' => $slot->reader->id, 'port' => $slot->port->id];
        $this->put("/slots/{$slot->id}", [...$with, 'path' => '/srv/cards'])->assertStatus(302);
        $said = $this->complaints()['path'][0] ?? '';
        self::assertStringContainsString('TALLY_FOLDERS=/media:/mnt:/srv/cards', $said);
    }
}
