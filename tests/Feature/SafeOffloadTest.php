<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Cards\FootageAct;
use App\Models\Kit\DriveFinding;
use App\Models\Offload\CopyStanding;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use App\Models\Offload\SavedPlan;
use App\Models\Stations\Station;
use App\Offload\Carrying\CopyOrders;
use App\Offload\Carrying\CopyOutcome;
use App\Offload\Carrying\DriveFindings;
use App\Offload\Carrying\HungCopies;
use App\Offload\Carrying\RealCopies;
use App\Offload\Carrying\Secured;
use App\Report\CarriedHome;
use App\Stations\BenchSight;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tally\Transfer\CopyOnDrive;
use Tally\Transfer\TransferResult;
use Tally\Transfer\Trouble;
use Tally\Transfer\TroubleKind;
use Tests\Support\RealGear;
use Tests\TestCase;

/**
 * Nothing is called safe that is not: real file systems, tried as a hostile, a hasty and an unlucky user would. Each test makes the
 * sentence “may be cleared” false, and sees that it is not said.
 */
final class SafeOffloadTest extends TestCase
{
    use RealGear;

    private function mayBeCleared(string $tag): bool
    {
        return Secured::of(Card::query()->where('tag', $tag)->firstOrFail()) !== null;
    }

    /** @return string|null why it was refused; null where it was cleared */
    private function cleared(string $tag, string $why = ''): ?string
    {
        $this->post("/cards/{$tag}/clear", ['by' => 'Moss', 'why' => $why]);
        $said = array_merge(...array_values($this->complaints()))[0] ?? null;
        $this->flushSession();

        return $said;
    }

    private function only(Offload $offload): OffloadCard
    {
        return $offload->cards()->with(['card', 'copies'])->firstOrFail();
    }

    /** @return array{Offload, string} brought home onto two drives, and where the card is mounted */
    private function broughtHome(string $tag = 'T-1'): array
    {
        $this->realCard($tag);
        $offload = $this->begunOn([$tag => $card = $this->medium($tag)]);
        self::assertNull($this->in($this->only($offload)));
        $this->work($offload);
        self::assertTrue($this->mayBeCleared($tag));

        return [$offload, $card];
    }

    public function test_one_drive_is_never_two_and_nothing_is_erased_because_of_it(): void
    {
        config(['tally.folders' => ['/tmp'], 'tally.plain_folders' => []]);
        $this->realCard('T-1');
        $card = $this->medium('T-1');
        $drive = $this->mounted('ext4', 32);
        foreach (['a', 'a/within', 'b'] as $folder) {
            @mkdir("{$drive}/{$folder}", recursive: true);
        }
        mkdir("{$card}/copies");
        symlink("{$drive}/a", $link = "{$this->folder()}/link");
        $shown = $this->get('/offload')->viewData('page');
        $slot = self::text(data_get($shown, 'props.plan.cards.0.slot'));
        [$first, $second] = array_map(self::text(...), array_values((array) data_get($shown, 'props.plan.cards.0.drives')));
        foreach (
            [
                ["{$drive}/a", "{$drive}/b"], ["{$drive}/a", "{$drive}/a/within"], ["{$drive}/a", "{$drive}/a/"], ["{$drive}/a", $link],
                [$drive, "{$drive}/./b"], ["{$drive}/a", "{$card}/copies"],
            ] as [$one, $other]
        ) {
            $this->begin(['real' => '1', 'slots' => [$slot => $card], 'drives' => [$first => $one, $second => $other]])
                ->assertSessionHasErrors();
            self::assertStringContainsString("drives.{$second}", implode(' ', array_keys($this->complaints())), "{$one} and {$other}");
            $this->flushSession();
        }
        self::assertSame(0, Offload::query()->count());
        self::assertStringContainsString('not secured', (string) $this->cleared('T-1'));
        // The end of it was that a raw proof erased the card.
        $this->post('/cards/T-1/runs', ['kind' => 'proof', 'slot' => $this->slot('Raw 1')->id, 'tag' => 'T-1', 'by' => 'Moss'])
            ->assertSessionHasErrors('slot');
    }

    public function test_drives_that_become_one_after_it_was_begun_secure_nothing(): void
    {
        $this->realCard('T-1');
        $offload = $this->begunOn(['T-1' => $this->medium('T-1')]);
        // The second drive is taken out, and the first one is mounted in its place too.
        $device = self::shell("findmnt -n -o SOURCE {$this->drives[0]}");
        self::assertNotNull(self::shell("mount {$device} {$this->drives[1]}"));
        $this->in($this->only($offload));
        $this->work($offload);
        self::shell("umount {$this->drives[1]}");
        $said = (string) json_encode($this->only($offload)->copies->pluck('message'));
        self::assertStringContainsString('is not the drive that was chosen', $said);
        self::assertFalse($this->mayBeCleared('T-1'));
        // Nor is what lies beneath a drive that is not mounted a copy on it.
        self::shell("umount {$this->drives[1]}");
        $this->post("/offloads/{$offload->id}/again");
        $this->work($offload);
        self::assertFalse($this->mayBeCleared('T-1'));
        self::assertSame(['.', '..'], scandir($this->drives[1]));
        self::assertStringContainsString('not secured', (string) $this->cleared('T-1'));
    }

    public function test_less_than_was_marked_stops_and_is_never_more_than_secured_in_part(): void
    {
        $this->card(['tag' => 'T-1', 'stand_in' => null]);
        $this->marked('T-1', '20 GB', 400);
        $offload = $this->begunOn(['T-1' => $this->medium('T-1', files: 5)]);
        $card = $this->only($offload);
        $said = (string) $this->in($card);
        self::assertStringContainsString('20 GB in 400 files were marked, 300 kB in 5 files found', $said);
        self::assertNull($card->refresh()->in_at);
        // Nobody can say so of what was not told, and nobody without a name.
        $this->post("/offloads/{$offload->id}/cards/{$card->id}/in", ['less' => '1'])->assertSessionHasErrors('by');
        $this->flushSession();
        $this->post("/offloads/{$offload->id}/cards/{$card->id}/in", ['less' => '1', 'by' => 'Moss'])->assertSessionHasNoErrors();
        $this->work($offload);
        $card = $this->only($offload);
        self::assertSame(['Moss', null], [$card->less_by, $card->clear_at]);
        self::assertSame([CopyState::Verified, CopyState::Verified], $card->copies->pluck('state')->all());
        self::assertFalse($this->mayBeCleared('T-1'));
        self::assertSame('partly secured', $this->inTray('T-1')['footage']);
        self::assertNotNull($this->cleared('T-1'));
        $page = (string) json_encode($this->getJson("/offloads/{$offload->id}/now")->json(), JSON_UNESCAPED_UNICODE);
        self::assertStringContainsString('20 GB in 400 files were marked, 300 kB in 5 files found, and Moss said', $page);
    }

    public function test_more_than_somebody_counted_stops_too_and_is_all_of_it_once_somebody_says_so(): void
    {
        $this->realCard('T-1', files: 3);
        $offload = $this->begunOn(['T-1' => $this->medium('other', files: 6)]);
        $card = $this->only($offload);
        $said = (string) $this->in($card);
        self::assertStringContainsString('180 kB in 3 files were marked, 360 kB in 6 files found: another card', $said);
        $this->post("/offloads/{$offload->id}/cards/{$card->id}/in", ['less' => '1', 'by' => 'Moss'])->assertSessionHasNoErrors();
        $this->work($offload);
        self::assertNull($this->only($offload)->less_by);
        self::assertTrue($this->mayBeCleared('T-1'));
    }

    public function test_what_is_no_file_is_named_on_the_page(): void
    {
        $this->realCard('T-1');
        $card = $this->medium('T-1');
        symlink('/etc', "{$card}/DCIM/elsewhere");
        posix_mkfifo("{$card}/pipe", 0600);
        $offload = $this->begunOn(['T-1' => $card]);
        self::assertNull($this->in($this->only($offload)));
        $this->work($offload);
        $notes = (string) json_encode($this->getJson("/offloads/{$offload->id}/now")->json('notes'), JSON_UNESCAPED_SLASHES);
        self::assertStringContainsString('DCIM/elsewhere, pipe', $notes);
        $this->get("/offloads/{$offload->id}/handover.pdf")->assertOk();
    }

    public function test_footage_that_is_marked_after_the_card_was_read_is_new_footage_whatever_the_clocks_say(): void
    {
        $this->realCard('T-1');
        $card = $this->medium('T-1');
        $offload = $this->begunOn(['T-1' => $card], rules: ['scheme' => 'relay']);
        $this->in($this->only($offload));
        // The first copy is right and the card is back in the camera before the second one is made.
        Artisan::call('queue:work', ['--queue' => $offload->station->offloadQueue(), '--once' => true, '--sleep' => 0]);
        self::assertNotNull($this->only($offload)->free_at);
        $this->marked('T-1', '500 kB', 5);
        // And the clock of that machine is an hour behind.
        FootageAct::query()->latest('id')->first()?->forceFill(['created_at' => now()->subHour()])->save();
        $this->work($offload);
        self::assertSame([null, null], $this->only($offload)->copies->pluck('message')->all());
        self::assertSame([CopyState::Verified, CopyState::Verified], $this->only($offload)->copies->pluck('state')->all());
        self::assertFalse($this->mayBeCleared('T-1'));
        self::assertSame('not secured', $this->inTray('T-1')['footage']);
        self::assertStringContainsString('not secured', (string) $this->cleared('T-1'));
        $cards = $this->getJson("/offloads/{$offload->id}/now")->json('cards');
        self::assertStringContainsString('newer footage', (string) json_encode($cards));
    }

    public function test_tried_again_only_the_card_itself_is_copied(): void
    {
        $this->realCard('T-1');
        $card = $this->medium('T-1');
        $offload = $this->begunOn(['T-1' => $card], rules: ['scheme' => 'fan-out']);
        $this->in($this->only($offload));
        // One drive is full: its copy fails, and that one alone.
        self::shell("dd if=/dev/zero of={$this->drives[1]}/filler bs=4k");
        $this->work($offload);
        $states = $this->only($offload)->copies->map(fn (OffloadCopy $one): string => $one->state->value);
        self::assertEqualsCanonicalizing(['verified', 'failed'], $states->all());
        unlink("{$this->drives[1]}/filler");
        // Another card is mounted at the same place.
        $own = self::shell("findmnt -n -o SOURCE {$card}");
        $other = $this->medium('other', files: 2);
        $others = self::shell("findmnt -n -o SOURCE {$other}");
        self::assertNotNull(self::shell("umount {$card} && mount {$others} {$card}"));
        $this->post("/offloads/{$offload->id}/again");
        self::assertStringContainsString('Put T-1 in again', $this->complaints()['again'][0] ?? '');
        $this->flushSession();
        // Nor does a worker that takes the order up copy it, whoever gave it.
        OffloadCopy::query()->where('state', CopyState::Failed)->update(['state' => CopyState::Waiting]);
        $offload->forceFill(['state' => OffloadState::Going])->save();
        CopyOrders::give($offload->refresh());
        $this->work($offload);
        self::assertSame([], glob("{$this->drives[1]}/Harbour/*/T-1/DCIM/other*"));
        self::assertStringContainsString('Put T-1 in again', (string) json_encode($this->only($offload)->copies->pluck('message')));
        self::assertFalse($this->mayBeCleared('T-1'));
        self::assertNotNull(self::shell("umount {$card} && mount {$own} {$card}"));
        $this->post("/offloads/{$offload->id}/again")->assertSessionHasNoErrors();
        $this->work($offload);
        self::assertSame([null, null], $this->only($offload)->copies->pluck('message')->all());
        self::assertTrue($this->mayBeCleared('T-1'));
    }

    public function test_a_card_that_was_written_to_between_its_copies_comes_home_from_the_beginning(): void
    {
        $this->realCard('T-1');
        $card = $this->medium('T-1');
        $offload = $this->begunOn(['T-1' => $card], rules: ['scheme' => 'straight']);
        $this->in($this->only($offload));
        Artisan::call('queue:work', ['--queue' => $offload->station->offloadQueue(), '--once' => true, '--sleep' => 0]);
        file_put_contents("{$card}/DCIM/T-1-1.mov", random_bytes(50_000), FILE_APPEND);
        $this->work($offload);
        $wrong = $this->getJson("/offloads/{$offload->id}/now")->json('wrong');
        self::assertSame($this->only($offload)->id, data_get($wrong, '0.grown'));
        self::assertStringContainsString('T-1-1.mov is another file by now', (string) json_encode($wrong));
        // Made from the first copy, it is still not all that is on the card.
        $this->only($offload)->copies()->where('nth', 2)->update(['state' => CopyState::Verified, 'standing' => 'read back']);
        RealCopies::follow($offload->refresh());
        self::assertFalse($this->mayBeCleared('T-1'));
        $this->only($offload)->copies()->where('nth', 2)->update(['state' => CopyState::Failed]);

        $at = "/offloads/{$offload->id}/cards/{$this->only($offload)->id}";
        $this->post("{$at}/beginning");
        self::assertStringContainsString('230 kB in 3 files found', str_replace(' ', ' ', $this->complaints()['swap'][0] ?? ''));
        $this->flushSession();
        $this->post("{$at}/in", ['less' => '1', 'by' => 'Moss'])->assertSessionHasNoErrors();
        $this->work($offload);
        $copies = $this->only($offload)->copies;
        self::assertSame([CopyState::Verified, CopyState::Verified], $copies->pluck('state')->all(), (string) json_encode($copies));
        self::assertTrue($this->mayBeCleared('T-1'));
        foreach ($this->drives as $drive) {
            $copy = glob("{$drive}/{$this->only($offload)->folder}/DCIM/T-1-1.mov")[0] ?? '';
            self::assertFileEquals("{$card}/DCIM/T-1-1.mov", $copy);
        }
        $this->post("{$at}/beginning")->assertSessionHasErrors('again');
        self::assertTrue($this->mayBeCleared('T-1'));
    }

    public function test_what_is_written_before_the_books_say_so_is_seen(): void
    {
        $this->realCard('T-1');
        $card = $this->medium('T-1');
        $offload = $this->begunOn(['T-1' => $card], rules: ['scheme' => 'fan-out']);
        $this->in($this->only($offload));
        // Just as the copies are entered as right.
        OffloadCopy::saving(function (OffloadCopy $copy) use ($card): void {
            if ($copy->isDirty('state') && $copy->state === CopyState::Verified) {
                file_put_contents("{$card}/DCIM/late.mov", 'late');
            }
        });
        $this->work($offload);
        OffloadCopy::flushEventListeners();
        self::assertFalse($this->mayBeCleared('T-1'));
        $said = str_replace("\u{00A0}", ' ', (string) $this->only($offload)->copies[0]?->message);
        self::assertStringContainsString('180 kB in 3 files then', $said);
    }

    public function test_what_is_recorded_while_a_relay_goes_on_or_before_it_is_cleared_is_seen_where_the_card_still_lies(): void
    {
        $this->realCard('T-1');
        $card = $this->medium('T-1');
        $offload = $this->begunOn(['T-1' => $card], rules: ['scheme' => 'relay']);
        $this->in($this->only($offload));
        Artisan::call('queue:work', ['--queue' => $offload->station->offloadQueue(), '--once' => true, '--sleep' => 0]);
        self::assertSame(CopyState::Verified, $this->only($offload)->copies[0]?->state);
        file_put_contents("{$card}/DCIM/between.mov", 'recorded while the second copy is made from the first');
        $this->work($offload);
        self::assertFalse($this->mayBeCleared('T-1'));
        $at = "/offloads/{$offload->id}/cards/{$this->only($offload)->id}";
        $this->post("{$at}/beginning");
        $this->flushSession();
        $this->post("{$at}/in", ['less' => '1', 'by' => 'Moss'])->assertSessionHasNoErrors();
        $this->work($offload);
        self::assertTrue($this->mayBeCleared('T-1'));
        // It may be cleared, and has not been looked at since.
        file_put_contents("{$card}/DCIM/after.mov", 'recorded after all of it was home');
        self::assertStringContainsString('Do not clear it: What lies in', (string) $this->cleared('T-1'));
        unlink("{$card}/DCIM/after.mov");
        self::assertNull($this->cleared('T-1'));
    }

    public function test_another_card_of_the_house_is_known_by_its_file_system(): void
    {
        $this->broughtHome('T-1');
        $first = self::text($this->only(Offload::query()->firstOrFail())->medium?->real);
        $this->realCard('T-2');
        Offload::query()->update(['state' => 'ended']);
        $offload = $this->begunOn(['T-2' => $first], rules: ['cards' => ['T-2']]);
        self::assertStringContainsString('By its file system T-1 lies in', (string) $this->in($card = $this->only($offload)));
        self::assertNull($card->refresh()->in_at);
        // Some cameras give every card the same number: whoever has the card in hand says so.
        $this->post("/offloads/{$offload->id}/cards/{$card->id}/in", ['less' => '1', 'by' => 'Moss'])->assertSessionHasNoErrors();
        $this->work($offload);
        self::assertNotNull($card->refresh()->clear_at);
    }

    public function test_whoever_clears_has_the_copies_looked_at_now(): void
    {
        [$offload] = $this->broughtHome();
        $file = glob("{$this->drives[0]}/Harbour/*/T-1/DCIM/*.mov")[0] ?? '';
        $handle = fopen($file, 'r+b');
        self::assertIsResource($handle);
        fseek($handle, 31_000);
        fwrite($handle, '?');
        fclose($handle);
        self::assertStringContainsString('reads otherwise than it was read back', (string) $this->cleared('T-1'));
        self::assertFalse($this->mayBeCleared('T-1'));
        self::assertSame('not secured', $this->inTray('T-1')['footage']);
        $states = $this->only($offload)->copies->map(fn (OffloadCopy $copy): ?CopyStanding => $copy->standing)->all();
        self::assertContains(CopyStanding::Changed, $states);
        self::assertContains(CopyStanding::SeenAgain, $states);
        // Not at hand is no excuse for what was found before.
        self::shell("umount {$this->drives[0]}");
        self::assertNotNull($this->cleared('T-1'));
        self::assertNull($this->cleared('T-1', 'given up by the client'));
    }

    public function test_a_copy_that_is_not_at_hand_is_said_and_with_none_at_hand_somebody_says_why(): void
    {
        $this->broughtHome();
        self::shell("umount {$this->drives[0]}");
        self::shell("umount {$this->drives[1]}");
        self::assertStringContainsString('Neither copy could be looked at', (string) $this->cleared('T-1'));
        Offload::query()->update(['state' => 'ended']);
        $this->post('/cards/T-1/clear', ['by' => 'Moss', 'why' => 'given up'])->assertSessionHasNoErrors();
        $this->broughtHome('T-2');
        self::shell("umount {$this->drives[1]}");
        self::assertNull($this->cleared('T-2'));
        $note = FootageAct::query()->latest('id')->firstOrFail()->note;
        self::assertStringContainsString('seen there again on', (string) $note);
        self::assertStringContainsString('not at hand on', (string) $note);
    }

    public function test_what_verify_finds_stands_in_the_books_wherever_the_drive_is_mounted(): void
    {
        $this->broughtHome();
        $device = self::shell("findmnt -n -o SOURCE {$this->drives[0]}");
        $elsewhere = $this->folder();
        self::assertNotNull(self::shell("umount {$this->drives[0]} && mount {$device} {$elsewhere}"));
        $file = glob("{$elsewhere}/Harbour/*/T-1/DCIM/*.mov")[0] ?? '';
        rename($file, "{$elsewhere}/kept");
        self::assertSame(1, Artisan::call('tally:verify', ['folder' => $elsewhere]));
        self::assertStringContainsString('Entered in the books', Artisan::output());
        self::assertFalse($this->mayBeCleared('T-1'));
        rename("{$elsewhere}/kept", $file);
        self::assertSame(0, Artisan::call('tally:verify', ['folder' => $elsewhere]), Artisan::output());
        self::assertTrue($this->mayBeCleared('T-1'));
        self::shell("umount {$elsewhere}");
    }

    public function test_a_drive_that_gave_back_something_wrong_or_is_lost_secures_no_card(): void
    {
        [$offload] = $this->broughtHome();
        $drive = $this->only($offload)->copies->firstOrFail()->drive;
        // Under another tag its copies would be found no more.
        $form = ['tag' => 'D99', 'name' => 'x', 'link' => 'usb2', 'write' => '100 MB/s', 'read' => '100 MB/s', 'free' => '1 TB'];
        $state = data_get($this->get("/kit/drives/{$drive}")->viewData('page'), 'props.state');
        $this->put("/kit/drives/{$drive}", [...$form, 'state' => $state])->assertSessionHasErrors('tag');
        $this->flushSession();
        $this->post("/drives/{$drive}/gone", ['why' => 'lost on the boat', 'by' => 'Moss'])->assertSessionHasNoErrors();
        self::assertSame([false, 'not secured'], [$this->mayBeCleared('T-1'), $this->inTray('T-1')['footage']]);
        $this->post("/drives/{$drive}/back")->assertSessionHasNoErrors();
        self::assertTrue($this->mayBeCleared('T-1'));
        // It gives back something else of another card: this one's copy is in doubt until somebody has looked.
        $copy = $this->only($offload)->copies->firstOrFail()->load('offloadCard.offload', 'offloadCard.card');
        DriveFindings::file($copy, [new Trouble(TroubleKind::CopyUnsteady, 'DCIM/x.mov', $drive)]);
        self::assertSame(1, DriveFinding::query()->count());
        self::assertFalse($this->mayBeCleared('T-1'));
        self::assertSame(0, Artisan::call('tally:verify', ['folder' => $this->drives[0]]), Artisan::output());
        Artisan::call('tally:verify', ['folder' => $this->drives[1]]);
        self::assertTrue($this->mayBeCleared('T-1'));
    }

    public function test_a_card_that_is_filled_anew_on_the_same_day_has_a_folder_of_its_own(): void
    {
        [$offload, $card] = $this->broughtHome();
        self::assertNull($this->cleared('T-1'));
        exec("rm -rf {$card}/DCIM/*");
        file_put_contents("{$card}/DCIM/T-1-1.mov", random_bytes(60_000));
        $this->marked('T-1', '60 kB', 1);
        $before = glob("{$this->drives[0]}/Harbour/*/*");
        $again = $this->begunOn(['T-1' => $card], $this->drives);
        self::assertNull($this->in($this->only($again)));
        $this->work($again);
        self::assertTrue($this->mayBeCleared('T-1'));
        self::assertStringEndsWith('/T-1-2', $this->only($again)->folder);
        self::assertStringEndsWith('/T-1', $this->only($offload)->folder);
        self::assertCount(count((array) $before) + 4, (array) glob("{$this->drives[0]}/Harbour/*/*"));
    }

    public function test_a_copy_goes_onto_another_drive_and_counts_there(): void
    {
        $this->realCard('T-1');
        $offload = $this->begunOn(['T-1' => $this->medium('T-1')], rules: ['scheme' => 'fan-out']);
        $this->in($this->only($offload));
        self::shell("dd if=/dev/zero of={$this->drives[1]}/filler bs=4k");
        $this->work($offload);
        $failed = $this->only($offload)->copies->firstOrFail(fn (OffloadCopy $one): bool => $one->state === CopyState::Failed);
        $wrong = (array) $this->getJson("/offloads/{$offload->id}/now")->json('wrong');
        self::assertStringContainsString('was not made. Do not clear.', (string) json_encode($wrong));
        $good = $this->only($offload)->copies->firstOrFail(fn (OffloadCopy $one): bool => $one->state === CopyState::Verified)->drive;
        $other = self::text(data_get($wrong, '0.drives.0'));
        $elsewhere = fn (string $drive, string $folder) => $this->post(
            "/offloads/{$offload->id}/copies/{$failed->id}/elsewhere",
            ['drive' => $drive, 'folder' => $folder],
        );
        $elsewhere($good, $this->mounted('ext4', 32))->assertSessionHasErrors('drive');
        $this->flushSession();
        $elsewhere($other, '/etc')->assertSessionHasErrors('folder');
        $this->flushSession();
        $elsewhere($other, $this->mounted('ext4', 32))->assertSessionHasNoErrors();
        $this->work($offload);
        self::assertTrue($this->mayBeCleared('T-1'));
        self::assertEqualsCanonicalizing([$good, $other], $this->only($offload)->copies->pluck('drive')->all());
    }

    public function test_a_copy_whose_medium_hangs_can_be_left_and_the_rest_goes_on(): void
    {
        $this->realCard('T-1');
        $offload = $this->begunOn(['T-1' => $this->medium('T-1')], rules: ['scheme' => 'fan-out']);
        $this->in($this->only($offload));
        $copy = $this->only($offload)->copies->firstOrFail();
        $leave = fn () => $this->post("/offloads/{$offload->id}/copies/{$copy->id}/leave");
        $copy->forceFill(['state' => CopyState::Copying, 'beat_at' => now(), 'pid' => (int) getmypid()])->save();
        $leave()->assertSessionHasErrors('leave');
        $this->flushSession();
        // Nothing was heard of it for a while.
        $copy->forceFill(['beat_at' => now()->subSeconds(30)])->save();
        $wrong = (array) $this->getJson("/offloads/{$offload->id}/now")->json('wrong.0');
        self::assertTrue($wrong['hangs']);
        self::assertStringContainsString('Not heard from since', (string) json_encode($wrong['found']));
        $leave()->assertSessionHasNoErrors();
        self::assertSame(CopyState::Failed, $copy->refresh()->state);
        // This process is no worker, and is left alone.
        HungCopies::letGo($offload->station);
        self::assertNull($copy->refresh()->pid);
        self::assertFalse($this->mayBeCleared('T-1'));
    }

    public function test_a_drive_is_held_against_its_lists_on_its_page(): void
    {
        [$offload] = $this->broughtHome();
        $drive = $this->only($offload)->copies->firstOrFail()->drive;
        $verify = function (string $folder) use ($drive, $offload): array {
            $this->post("/drives/{$drive}/verify", ['folder' => $folder, 'by' => 'Moss'])->assertSessionHasNoErrors();
            $this->post("/drives/{$drive}/verify", ['folder' => $folder, 'by' => 'Moss'])->assertSessionHasErrors('folder');
            $this->flushSession();
            $this->work($offload);

            return (array) data_get($this->get("/kit/drives/{$drive}")->viewData('page'), 'props.care.checks.0');
        };
        $places = $offload->places->drives;
        $check = $verify($places[$drive]);
        self::assertSame('as listed', $check['state']);
        self::assertSame('3 files in 1 folder are as listed. Entered with 1 copy of the books.', $check['message']);
        unlink(glob("{$places[$drive]}/Harbour/*/T-1/DCIM/*.mov")[0] ?? '');
        $check = $verify($places[$drive]);
        self::assertSame('not as listed', $check['state']);
        self::assertStringContainsString('missing: DCIM/', (string) json_encode($check['lines'], JSON_UNESCAPED_SLASHES));
        self::assertFalse($this->mayBeCleared('T-1'));
        $this->post("/drives/{$drive}/verify", ['folder' => '/etc', 'by' => 'Moss'])->assertSessionHasErrors('folder');
        $this->flushSession();
        self::assertSame('not looked at', $verify($this->medium('empty'))['state']);
    }

    public function test_reports_count_what_was_copied_and_an_evening_once(): void
    {
        [$offload] = $this->broughtHome();
        $key = "offload {$offload->id}";
        self::assertSame(180_000, CarriedHome::find($key)?->bytes);
        self::assertSame([$key], CarriedHome::since(now()->subDay()));
        // Begun once more with the same footage: that came home already.
        $again = $this->begunOn(['T-1' => self::text($this->only($offload)->medium?->real)], $this->drives);
        $this->in($this->only($again));
        $this->work($again);
        self::assertNull(CarriedHome::find("offload {$again->id}"));
        // A plan of the same evening, that somebody told the outcome of.
        $this->post('/offload/plans', ['plan' => $this->shownPlan(), 'name' => 'Friday', 'by' => 'Wren'])->assertSessionHasNoErrors();
        SavedPlan::query()->update(['begun_at' => $offload->began_at, 'done_at' => now()]);
        self::assertNotContains('plan 1', CarriedHome::since(now()->subDay()));
        // Planned and never begun, nothing of it came home.
        $this->card(['tag' => 'T-9', 'stand_in' => null]);
        $this->marked('T-9', '20 GB');
        $planned = $this->begunOn(['T-9' => $this->medium('T-9')], rules: ['cards' => ['T-9']]);
        $this->post("/offloads/{$planned->id}/stop");
        self::assertSame(OffloadState::Ended, $planned->refresh()->state);
        self::assertNull(CarriedHome::find("offload {$planned->id}"));
    }

    public function test_what_lies_at_another_bench_is_asked_of_that_bench(): void
    {
        $this->realCard('T-1');
        $offload = $this->begunOn(['T-1' => $card = $this->medium('T-1')]);
        $other = Station::query()->create(['name' => 'Bench Z', 'host_id' => $offload->station->host_id]);
        $offload->forceFill(['station_id' => $other->id])->save();
        // Nobody is there to look: the machine that serves the page does not guess in its place, though it has the card at hand.
        self::assertStringContainsString('Bench Z did not say', (string) $this->in($this->only($offload->refresh())));
        self::assertNull($this->only($offload)->in_at);
        // Its lookout answers what it is asked.
        DB::table('bench_questions')->insert([
            'station_id' => $other->id, 'question' => (string) json_encode(['card' => $card]), 'asked_at' => now(),
        ]);
        BenchSight::answerAll($other);
        $answer = DB::table('bench_questions')->value('answer');
        self::assertIsString($answer);
        self::assertSame(3, data_get(json_decode($answer, true), 'contents.files'));
    }

    public function test_wrong_bytes_are_the_loudest_thing_and_the_drive_is_in_doubt_for_other_cards_too(): void
    {
        [$before] = $this->broughtHome('T-1');
        Offload::query()->update(['state' => OffloadState::Ended]);
        $this->realCard('T-2');
        $offload = $this->begunOn(['T-2' => $this->medium('T-2')], $this->drives, ['cards' => ['T-2'], 'scheme' => 'fan-out']);
        $this->in($this->only($offload));
        $card = OffloadCard::query()->with(['offload.station', 'card', 'copies'])->latest('id')->firstOrFail();
        [$right, $wrong] = array_values($card->copies->all());
        $shared = $this->only($before)->copies->pluck('drive')->all();
        self::assertContains($wrong->drive, $shared);
        // Its worker read the second copy back, twice the same wrong bytes.
        $drive = $this->drives[1];
        $copy = fn (string $on, int $back): CopyOnDrive => new CopyOnDrive(
            $on,
            "{$on}/x",
            3,
            0,
            there: 0,
            written: 9,
            verified: $back,
            missing: [],
            fault: null,
            forgot: true,
        );
        $trouble = new Trouble(TroubleKind::CopyDiffers, 'DCIM/clip-0042.mov', $drive);
        $both = [$copy($this->drives[0], 3), $copy($drive, 2)];
        $result = new TransferResult(
            'x',
            3,
            180_000,
            1,
            copied: 1.0,
            readBack: 1.0,
            seconds: 1.0,
            skipped: [],
            copies: $both,
            troubles: [$trouble],
            stopped: false,
            cutShort: null,
        );
        CopyOutcome::enter($card, [$right, $wrong], $result, []);
        RealCopies::follow($offload->refresh());
        $page = $this->getJson("/offloads/{$offload->id}/now")->json();
        self::assertSame("T-2: its copy on {$wrong->drive} is wrong. Do not clear.", data_get($page, 'wrong.0.lead'));
        self::assertStringContainsString('clip-0042.mov', (string) json_encode(data_get($page, 'wrong.0.found')));
        self::assertStringContainsString('Leave T-2 in', (string) json_encode(data_get($page, 'wrong.0.stay')));
        self::assertSame(['right', 'wrong'], data_get($page, 'cards.0.copies.*.mark'));
        self::assertSame(0, data_get($page, 'secured'));
        self::assertFalse($this->mayBeCleared('T-2'));
        // What lies on that drive of the other card was right once.
        self::assertFalse($this->mayBeCleared('T-1'));
        self::assertSame('not secured', $this->inTray('T-1')['footage']);
    }

    public function test_it_can_be_begun_before_any_card_is_in_and_waits_until_one_is_mounted(): void
    {
        $this->realCard('T-1');
        $offload = $this->begunOn(['T-1' => $point = $this->folder()]);
        $card = $this->only($offload);
        self::assertStringContainsString("Nothing is mounted at {$point} yet. Put T-1 in", (string) $this->in($card));
        $empty = $this->medium('none', files: 0);
        $device = self::shell("findmnt -n -o SOURCE {$empty}");
        self::assertNotNull(self::shell("mount {$device} {$point}"));
        self::assertStringContainsString('holds no files', (string) $this->in($card));
        file_put_contents("{$empty}/DCIM/T-1.mov", random_bytes(180_000));
        self::assertStringContainsString('1 file found', (string) $this->in($card));
        foreach ([2, 3] as $more) {
            file_put_contents("{$empty}/DCIM/T-{$more}.mov", '');
        }
        self::assertNull($this->in($card));
        $this->work($offload);
        self::assertTrue($this->mayBeCleared('T-1'));
        self::shell("umount {$point}");
    }
}
