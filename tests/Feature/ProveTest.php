<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Runs\Erasure;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Runs\Conducting\RunConductor;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Device\AllowedFolders;
use Tally\Record\RunKind;
use Tally\Verdict\VerdictKind;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** Both ways of proving, raw slots, erasing and going on, from the pages. */
final class ProveTest extends TestCase
{
    use TemporaryFolder;

    private function rawSlot(int $bytes = 32_000_000, ?string $path = null): Slot
    {
        $folder = $this->folder();
        if ($path === null) {
            $path = "{$folder}/card.img";
            $handle = fopen($path, 'w');
            self::assertNotFalse($handle);
            ftruncate($handle, max(0, $bytes));
            fclose($handle);
        }
        config(['tally.folders' => [$folder], 'tally.plain_folders' => [$folder]]);
        $bay = $this->slot('Bay 1');

        return Slot::query()->create([
            'station_id' => $bay->station_id,
            'name' => 'Raw bench',
            'kind' => SlotKind::Raw,
            'path' => $path,
            'reader_id' => $bay->getAttribute('reader_id'),
            'port_id' => $bay->getAttribute('port_id'),
        ]);
    }

    /**
     * @param  array<string, mixed>  $with
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function orderRaw(Card $card, Slot $slot, array $with = []): TestResponse
    {
        return $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'proof',
            'slot' => $slot->id,
            'tag' => $card->tag,
            'by' => 'Wren',
            ...$with,
        ]);
    }

    public function test_a_raw_card_is_proven_and_that_is_in_the_ledger(): void
    {
        [$card, $slot] = [$this->smallCard(32_000_000), $this->rawSlot()];
        $this->orderRaw($card, $slot)->assertSessionHasNoErrors();
        $run = $this->carryOut();
        self::assertSame([RunState::Done, VerdictKind::Sound], [$run->state, $card->refresh()->verdict]);
        $line = Erasure::query()->firstOrFail();
        self::assertSame(
            [$card->id, $run->id, $slot->path, 32_000_000, 'Wren', 'Bench A'],
            [$line->card_id, $line->run_id, $line->path, $line->bytes, $line->person, $line->station],
        );
        $this->get("/prove/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('erasures.0.person', 'Wren')
                ->where('unfinished.again', true)
                ->where('core.leaves.0', fn (string $words): bool => str_contains($words, 'A cache inside the card')),
        );
        // Once more, as after it was taken out and put in.
        $this->post("/runs/{$run->id}/go-on", ['again' => true])->assertSessionHasNoErrors();
        $again = $this->carryOut();
        self::assertSame([$run->id, RunState::Done], [$again->id, $again->state]);
        self::assertSame(2, Erasure::query()->count());
    }

    public function test_the_ledger_is_only_ever_added_to(): void
    {
        $line = Erasure::query()->create([
            'what' => 'full proof',
            'path' => '/dev/x',
            'bytes' => 1,
            'person' => 'Wren',
            'station' => 'Bench A',
            'erased_at' => now(),
        ]);
        foreach ([fn () => $line->update(['person' => 'nobody']), fn () => $line->delete()] as $act) {
            try {
                $act();
                self::fail('it was changed');
            } catch (LogicException) {
                self::assertSame('Wren', Erasure::query()->firstOrFail()->person);
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string, string}> card, order, field, words */
    public static function refusals(): iterable
    {
        yield 'no tag' => [[], ['tag' => ''], 'tag', 'Type the tag of this card to say that it is meant: T-1.'];
        yield 'another tag' => [[], ['tag' => 'T-11'], 'tag', '“T-11” was typed.'];
        yield 'nobody' => [[], ['by' => ''], 'by', 'Nobody is named.'];
        yield 'footage' => [['footage' => 1], [], 'slot', 'still carries 1 B of footage that is not secured'];
        yield 'footage, whatever is said' => [
            ['footage' => 41_000_000_000],
            ['why' => 'never mind'],
            'slot',
            'still carries 41 GB of footage',
        ];
        yield 'a speed run' => [[], ['kind' => 'speed'], 'slot', 'only a full proof or a quick screen can be run there'];
        yield 'small files' => [[], ['kind' => 'files'], 'slot', 'only a full proof or a quick screen'];
        yield 'too few places' => [[], ['kind' => 'screen', 'points' => 3], 'points', 'give a whole number from 16 to 4096'];
    }

    /**
     * @param  array<string, mixed>  $of
     * @param  array<string, mixed>  $order
     */
    #[DataProvider('refusals')]
    public function test_what_must_not_be_erased_is_refused_and_nothing_waits(array $of, array $order, string $field, string $words): void
    {
        $card = $this->card(['capacity' => 32_000_000, 'stand_in' => null, ...$of]);
        $response = $this->orderRaw($card, $this->rawSlot(), $order);
        $response->assertSessionHasErrors($field);
        $errors = session('errors');
        self::assertInstanceOf(\Illuminate\Support\ViewErrorBag::class, $errors);
        self::assertStringContainsString($words, $errors->first($field));
        self::assertSame([0, 0], [Run::query()->count(), Erasure::query()->count()]);
    }

    /** @return iterable<string, array{int, string}> bytes of the medium, words */
    public static function sizes(): iterable
    {
        yield 'larger' => [64_000_000, 'more than the 32 MB on the card’s label'];
        yield 'smaller' => [16_000_000, 'less than the 32 MB on the card’s label'];
    }

    #[DataProvider('sizes')]
    public function test_a_medium_of_another_size_than_the_label_is_only_erased_for_a_reason(int $bytes, string $words): void
    {
        [$card, $slot] = [$this->smallCard(32_000_000), $this->rawSlot($bytes)];
        $this->orderRaw($card, $slot)->assertSessionHasNoErrors();
        $run = $this->carryOut();
        self::assertSame(RunState::Failed, $run->state);
        self::assertStringContainsString($words, (string) $run->message);
        self::assertSame(0, Erasure::query()->count());
        self::assertSame('', trim((string) file_get_contents($slot->path ?? '', false, null, 0, 4096), "\0"), 'nothing was written');
        $this->orderRaw($card, $slot, ['why' => 'bought as it is'])->assertSessionHasNoErrors();
        self::assertSame(RunState::Done, $this->carryOut()->state);
        self::assertSame('bought as it is', Erasure::query()->firstOrFail()->why);
        // A card that shows less than its label to any computer is a sham, whatever it holds; one that shows and holds more is doubted.
        self::assertSame($bytes < 32_000_000 ? VerdictKind::Sham : VerdictKind::Sound, $card->refresh()->verdict);
    }

    public function test_footage_that_came_between_order_and_run_stops_the_run(): void
    {
        [$card, $slot] = [$this->smallCard(32_000_000), $this->rawSlot()];
        $this->orderRaw($card, $slot)->assertSessionHasNoErrors();
        $card->forceFill(['footage' => 5_000_000])->save();
        self::assertStringContainsString('footage that is not secured', (string) $this->carryOut()->message);
        self::assertSame(0, Erasure::query()->count());
    }

    public function test_an_image_that_turns_into_a_link_after_the_order_is_refused_by_the_worker(): void
    {
        [$card, $slot] = [$this->smallCard(32_000_000), $this->rawSlot()];
        $outside = $this->folder().'/footage.bin';
        file_put_contents($outside, str_repeat('f', 32_000_000));
        $this->orderRaw($card, $slot)->assertSessionHasNoErrors();
        unlink($slot->path ?? '');
        symlink($outside, $slot->path ?? '');
        $run = $this->carryOut();
        self::assertSame(RunState::Failed, $run->state);
        self::assertStringContainsString('images lie below', (string) $run->message);
        self::assertSame(str_repeat('f', 64), file_get_contents($outside, false, null, 0, 64));
    }

    public function test_a_screen_leaves_capacity_open_and_says_what_it_says(): void
    {
        $card = $this->card();
        $run = $this->conduct($card, 'screen', 'Tray 3');
        self::assertSame([RunKind::Screen, RunState::Done, VerdictKind::Unproven], [$run->kind, $run->state, $card->refresh()->verdict]);
        $this->get("/prove/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('core.points', 256)
                ->where(
                    'core.proves',
                    fn (string $words): bool => str_contains($words, 'fewer than 1.17 % of the blocks are bad') &&
                        str_contains($words, 'less than 98.2 %'),
                )
                ->where('ways.recommended', 'proof')
                ->where('ways.reason', fn (string $words): bool => str_contains($words, 'Only a full proof says that every '.
                    'block holds')),
        );
    }

    public function test_both_ways_are_told_side_by_side(): void
    {
        $card = $this->card(['capacity' => 1_000_000_000_000, 'family' => 'SDXC', 'read' => 7e6, 'write' => 11.7e6, 'marks' => []]);
        $this->get("/prove/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                // Handbook § 5: 1 TB at 11.7/7 MB/s takes 63.4 hours.
                ->where('ways.proof.expected', fn (string $words): bool => $words === '63.4 h')
                ->where('ways.recommended', 'screen')
                ->where('ways.screen.expected', fn (string $words): bool => ! str_contains($words, ' h'))
                ->where('ways.screen.proves', fn (string $words): bool => str_contains($words, '98.2 %')),
        );
    }

    public function test_a_fake_is_screened_out(): void
    {
        $card = $this->card(['stand_in' => 'wraps,size=32GB,true=8GB']);
        $this->conduct($card, 'screen', 'Tray 3');
        self::assertSame(VerdictKind::Sham, $card->refresh()->verdict);
    }

    public function test_a_screen_in_a_folder_lies_in_one_file_and_leaves_nothing(): void
    {
        $folder = $this->folder(base_path('.run'));
        config(['tally.folders' => [$folder], 'tally.plain_folders' => [$folder]]);
        $slot = $this->slot('Bay 1');
        $slot->forceFill(['path' => $folder])->save();
        $card = $this->card(['stand_in' => null]);
        $run = $this->conduct($card, 'screen', 'Bay 1', '200 MB');
        self::assertSame([RunState::Done, null], [$run->state, $run->message]);
        self::assertSame([], self::everything($folder));
        $this->get("/prove/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'core.leaves',
                fn (\Illuminate\Support\Collection $leaves): bool => $leaves->contains(
                    'What the file system and other files take up, and where on the medium the files lie.',
                ),
            ),
        );
    }

    public function test_a_proof_that_was_left_goes_on_from_its_place(): void
    {
        $card = $this->card();
        $this->post("/cards/{$card->tag}/runs", ['kind' => 'proof', 'slot' => $this->slot('Tray 3')->id])->assertSessionHasNoErrors();
        $run = Run::query()->firstOrFail();
        DB::listen(function (QueryExecuted $query) use ($run): void {
            // Somebody presses stop as soon as there is a place to go on from.
            if (str_contains($query->sql, '`checkpoint`') && str_starts_with($query->sql, 'update')) {
                DB::table('runs')
                    ->where('id', $run->id)
                    ->update(['stop_requested' => true]);
            }
        });
        (new RunConductor($this->app->make(AllowedFolders::class), 3))->conduct(
            Run::query()
                ->with(['card', 'slot', 'station'])
                ->findOrFail($run->id),
        );
        $run->refresh();
        self::assertSame(RunState::Stopped, $run->state);
        self::assertTrue($run->canContinue());
        $this->get("/prove/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('unfinished.run', $run->id)
                ->where('unfinished.again', false)
                ->where('unfinished.where', fn (string $words): bool => str_contains($words, 'of 32 GB')),
        );
        DB::table('runs')
            ->where('id', $run->id)
            ->update(['stop_requested' => false]);
        DB::getEventDispatcher()?->forget(QueryExecuted::class);
        $this->post("/runs/{$run->id}/go-on")->assertSessionHasNoErrors();
        $run = $this->carryOut();
        self::assertSame([RunState::Done, 32_000_000_000], [$run->state, $run->rawResult()['holds'] ?? null]);
    }

    public function test_what_cannot_go_on_says_so(): void
    {
        $run = $this->conduct($this->card(), 'proof', 'Tray 3');
        $this->post("/runs/{$run->id}/go-on")->assertSessionHasErrors([
            'run' => "There is nothing to continue: {$run->name()} is done, and no place of it was kept. Begin a new proof.",
        ]);
    }

    public function test_a_proof_in_a_folder_goes_on_after_its_worker_was_killed(): void
    {
        $folder = $this->folder();
        config(['tally.folders' => [$folder], 'tally.plain_folders' => [$folder]]);
        $slot = $this->slot('Bay 1');
        $slot->forceFill(['path' => $folder])->save();
        $card = $this->card(['stand_in' => null]);
        $this->post("/cards/{$card->tag}/runs", ['kind' => 'proof', 'slot' => $slot->id, 'size' => '64 MB'])->assertSessionHasNoErrors();
        $run = Run::query()->firstOrFail();
        // As a worker leaves it that dies while it reads back.
        $device = \Tally\Device\FolderDevice::open(\Tally\Device\HeldFolder::at($folder), \Tally\Quantity\Bytes::of(64_000_000));
        $saver = new \Tests\Support\CheckpointInHand(1);
        \Tally\Probe\Proof\FullProof::on(
            $device,
            new \Tally\Device\HostClock(),
            new \Tests\Support\StopAt(\Tally\Probe\Observing\Phase::Reading, 0.5),
            lookBack: false,
            saver: $saver,
        );
        $checkpoint = json_decode((string) $saver->json, true);
        self::assertIsArray($checkpoint);
        $run->forceFill([
            'state' => RunState::Running,
            'lane' => null,
            'checkpoint' => [...$checkpoint, 'folder' => $device->facts()->folder],
        ])->save();
        $device->leave();
        DB::table('jobs')->delete();
        $this->command('tally:station', ['--once' => true])->assertSuccessful();
        self::assertSame(RunState::Interrupted, $run->refresh()->state);
        self::assertStringContainsString('It can be continued from there.', (string) $run->message);
        $this->post("/runs/{$run->id}/go-on")->assertSessionHasNoErrors();
        $run = $this->carryOut();
        self::assertSame([RunState::Done, 64_000_000], [$run->state, $run->rawResult()['holds'] ?? null]);
        self::assertSame([], self::everything($folder));
        // And the files being gone, it cannot.
        $run->forceFill(['state' => RunState::Interrupted])->save();
        $this->post("/runs/{$run->id}/go-on")->assertSessionHasNoErrors();
        self::assertStringContainsString('the folder of its run is not on it any more', (string) $this->carryOut()->message);
    }

    public function test_a_proof_counts_though_another_went_on_beside_it(): void
    {
        $card = $this->card();
        $run = $this->conduct($card, 'proof', 'Tray 3');
        $run->forceFill(['beside' => 'T-2, run 9'])->save();
        self::assertTrue($run->refresh()->counts());
        $run->forceFill(['kind' => RunKind::Speed])->save();
        self::assertFalse($run->counts());
    }
}
