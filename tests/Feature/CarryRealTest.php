<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kit\DriveRecord;
use App\Models\Cards\Card;
use App\Models\Kit\DriveFinding;
use App\Models\Kit\Reader;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use App\Offload\Carrying\DriveFindings;
use App\Offload\Carrying\LeftCopies;
use App\Offload\Carrying\WhatLinksGave;
use App\Stations\Lane;
use Illuminate\Support\Facades\Artisan;
use Tally\Offload\PlacedCard;
use Tally\Transfer\FilePath;
use Tally\Transfer\Trouble;
use Tally\Transfer\TroubleKind;
use Tests\Support\RealGear;
use Tests\TestCase;

/** Real folders come home by the station's workers. */
final class CarryRealTest extends TestCase
{
    use RealGear;

    public function test_real_folders_are_copied_for_real_and_the_wrong_places_are_refused(): void
    {
        $this->post('/offloads', [...self::BEGIN, 'real' => '1'])->assertSessionHasErrors('plan');
        $this->flushSession();
        $this->realCard('T-1');
        $card = $this->medium('T-1');
        // Made-up copies would call real footage secured.
        $this->begin()->assertSessionHasErrors('real');
        $this->flushSession();
        $this->begin(['real' => '1'])->assertSessionHasErrors();
        $asked = array_keys($this->complaints());
        self::assertCount(3, $asked);
        $this->flushSession();
        $elsewhere = ['slots' => [], 'drives' => []];
        foreach ($asked as $field) {
            [$kind, $thing] = explode('.', $field, 2);
            $elsewhere[$kind][$thing] = '/etc';
        }
        $this->begin(['real' => '1', ...$elsewhere])->assertSessionHasErrors($asked);
        self::assertStringContainsString('TALLY_FOLDERS=', $this->complaints()[$asked[0]][0] ?? '');
        $this->flushSession();
        $offload = $this->begunOn(['T-1' => $card]);
        self::assertFalse($offload->is_made_up);
        // A drive that is not there is told, and what failed goes on once it is back.
        $device = self::shell("findmnt -n -o SOURCE {$this->drives[0]}");
        self::shell("umount {$this->drives[0]}");
        self::assertNull($this->in($offload->cards->firstOrFail()));
        $this->work($offload);
        $one = $offload->cards()->with('copies')->firstOrFail();
        self::assertContains(CopyState::Failed, $one->copies->map(fn ($copy) => $copy->state)->all());
        self::assertNull($one->clear_at);
        $this->post('/cards/T-1/clear', ['by' => 'Wren'])->assertSessionHasErrors('why');
        $this->flushSession();
        self::assertNotNull(self::shell("mount {$device} {$this->drives[0]}"));
        $this->post("/offloads/{$offload->id}/again")->assertSessionHasNoErrors();
        $this->work($offload);
        $one = $offload->cards()->with('copies')->firstOrFail();
        self::assertSame([null, null], $one->copies->map(fn ($copy) => $copy->message)->all());
        self::assertNotNull($one->clear_at);
        foreach ($this->drives as $drive) {
            self::assertFileEquals("{$card}/DCIM/T-1-1.mov", "{$drive}/Harbour/2026-11-27/T-1/DCIM/T-1-1.mov");
            self::assertFileExists("{$drive}/Harbour/2026-11-27/T-1.sha256");
        }
        self::assertSame(OffloadState::Ended, $offload->refresh()->state);
        // Both have been read back: whoever may clears it, and need not say where the footage is.
        $this->post('/cards/T-1/clear', ['by' => 'Wren'])->assertSessionHasNoErrors();
        self::assertTrue(Card::query()->where('tag', 'T-1')->firstOrFail()->footage->isZero());
        $this->itsDriveKeepsWhatItGotWrong($one->copies->firstOrFail());
    }

    /** @return array{Offload, string, list<string>} the offload of one real card, its folder, and those of the drives */
    private function begunForReal(): array
    {
        $this->realCard('T-1');

        return [$this->begunOn(['T-1' => $card = $this->medium('T-1')]), $card, $this->drives];
    }

    /** Once, however often it is found; what the card did wrong is not the drive's. */
    private function itsDriveKeepsWhatItGotWrong(OffloadCopy $copy): void
    {
        self::assertSame(0, DriveFinding::query()->count());
        $found = [
            new Trouble(TroubleKind::CopyUnsteady, "DCIM/\xFF.mov", $copy->drive),
            new Trouble(TroubleKind::Unreadable, 'DCIM/b.mov', null),
        ];
        DriveFindings::file($copy, $found);
        DriveFindings::file($copy, $found);
        $one = DriveFinding::query()->sole();
        $shown = FilePath::shown("DCIM/\xFF.mov");
        self::assertSame([$copy->drive, TroubleKind::CopyUnsteady, $shown], [$one->drive, $one->kind, $one->path]);
        self::assertSame([$copy->drive], array_keys(DriveRecord::sentences()));
    }

    public function test_what_a_worker_died_over_is_ordered_again_by_the_one_that_follows_it(): void
    {
        [$offload, $card, $drives] = $this->begunForReal();
        self::assertNull($this->in($offload->cards->firstOrFail()));
        // Its worker took the order, began, and is no more.
        $one = $offload->cards()->with('copies')->firstOrFail();
        foreach ($one->copies as $copy) {
            $copy->forceFill(['state' => CopyState::Reading, 'worker' => 2])->save();
        }
        $queue = $offload->station->offloadQueue();
        Artisan::call('queue:clear', ['connection' => 'database', '--queue' => $queue, '--force' => true]);
        $lane = new Lane($offload->station, $queue, 2);
        self::assertTrue($lane->take());
        LeftCopies::takeUp($offload->station);
        self::assertSame(CopyState::Reading, $one->copies()->firstOrFail()->state, 'what goes on is left alone');
        $lane->let();
        LeftCopies::takeUp($offload->station);
        Artisan::call('queue:work', ['--queue' => $queue, '--stop-when-empty' => true, '--sleep' => 0]);
        self::assertNotNull($one->refresh()->clear_at);
        self::assertFileEquals("{$card}/DCIM/T-1-1.mov", "{$drives[0]}/{$one->folder}/DCIM/T-1-1.mov");
    }

    public function test_a_link_that_was_the_limit_and_gave_less_is_measured_by_it(): void
    {
        $this->card(['tag' => 'T-1', 'stand_in' => null]);
        $this->marked('T-1', '20 GB');
        $offload = $this->begunOn(['T-1' => $this->medium('T-1')]);
        $one = $offload->cards()->with('copies')->firstOrFail();
        $plan = $offload->plan();
        $slot = array_search($one->slot, $plan->course->network->slotNames, true);
        $reader = $plan->question->readers[$plan->course->network->slots[(int) $slot][0]];
        $drives = array_map(fn (PlacedCard $card): array => $card->drives, $plan->decision->cards)[0];
        // The card gave a fifth of what the plan reckoned with.
        $began = $offload->began_at->copy()->addSeconds(10);
        $took = (int) (5 * ($one->copies->firstOrFail()->planned['copy'][1] - $one->copies->firstOrFail()->planned['copy'][0]));
        $one->forceFill(['in_at' => $began])->save();
        foreach ($one->copies as $copy) {
            $copy->forceFill([
                'copied' => $one->bytes,
                'copy_at' => $began,
                'copied_at' => $began->copy()->addSeconds($took),
                'state' => CopyState::Copied,
            ])->save();
        }
        self::assertCount(2, $drives);
        WhatLinksGave::note($offload->refresh());
        // It was the card, not the link, that the plan took for the limit: a slow copy says nothing of the link.
        self::assertNull(Reader::query()->where('tag', $reader->name)->firstOrFail()->measured);
        $question = json_decode($offload->question, true);
        self::assertIsArray($question);
        self::assertIsArray($question['readers']);
        foreach ($question['readers'] as $at => $each) {
            self::assertIsArray($each);
            $question['readers'][$at] = [...$each, 'uplink' => 50_000_000.0];
        }
        $offload->forceFill(['question' => json_encode($question, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)])->save();
        WhatLinksGave::note($offload->refresh());
        $measured = Reader::query()->where('tag', $reader->name)->firstOrFail();
        self::assertEqualsWithDelta($one->bytes / $took, $measured->measured?->bytesPerSecond, 1e5);
        self::assertStringContainsString('Harbour', (string) $measured->measured_how);
    }
}
