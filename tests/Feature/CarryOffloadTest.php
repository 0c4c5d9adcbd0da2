<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kit\DriveRecord;
use App\Models\Cards\Card;
use App\Models\Kit\DriveFinding;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadState;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Date;
use Inertia\Testing\AssertableInertia;
use Tally\Transfer\TroubleKind;
use Tests\Support\CarriesOffloads;
use Tests\TestCase;

/** A plan is carried out: made up in its own time, and with real folders by the station's workers. */
final class CarryOffloadTest extends TestCase
{
    use CarriesOffloads;

    /** @param  array<string, mixed>  $more */
    private function begun(int $cards = 2, array $more = []): Offload
    {
        for ($i = 1; $i <= $cards; $i++) {
            $this->card(['tag' => "T-{$i}"]);
            $this->post("/cards/T-{$i}/footage", ['footage' => 5 * $i.' GB', 'files' => '100', 'by' => 'Wren'])->assertSessionHasNoErrors();
        }
        $this->begin($more)->assertSessionHasNoErrors();

        return Offload::query()->latest('id')->firstOrFail();
    }

    public function test_made_up_cards_come_home_in_their_own_time_until_each_may_be_cleared(): void
    {
        Date::setTestNow($now = Carbon::parse('2026-11-27 20:00:00'));
        $offload = $this->begun(3);
        self::assertTrue($offload->is_made_up);
        $folders = ['Harbour/2026-11-27/T-1', 'Harbour/2026-11-27/T-2', 'Harbour/2026-11-27/T-3'];
        self::assertSame($folders, $offload->cards->pluck('folder')->sort()->values()->all());
        $hands = 0;
        for ($i = 0; $i < 4000 && $offload->refresh()->state !== OffloadState::Ended; $i++) {
            Date::setTestNow($now = $now->copy()->addMilliseconds(250));
            $page = $this->getJson("/offloads/{$offload->id}/now")->assertOk()->json();
            self::assertIsArray($page);
            foreach (is_array($page['hands']) ? array_slice($page['hands'], 0, 1) : [] as $hand) {
                self::assertIsArray($hand);
                self::assertNull($this->in(OffloadCard::query()->whereKey($hand['card'])->firstOrFail()));
                $hands++;
            }
        }
        self::assertSame(3, $hands);
        self::assertSame(OffloadState::Ended, $offload->state);
        foreach ($offload->cards()->with('copies')->get() as $card) {
            self::assertNotNull($card->clear_at);
            self::assertSame([CopyState::Verified, CopyState::Verified], $card->copies->map(fn ($copy) => $copy->state)->all());
            self::assertSame([$card->bytes, $card->bytes], $card->copies->map(fn ($copy) => $copy->verified)->all());
        }
        // Its busiest reader gave less than the plan reckoned with, and the page says so.
        $this->get("/offloads/{$offload->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Follow')
                ->where('first.state', 'ended')
                ->where('first.clear', fn (string $words): bool => str_starts_with($words, 'Every card may be cleared'))
                ->where('first.reasons.0', fn (string $words): bool => str_contains($words, 'reckoned with')),
        );
        $this->get("/offloads/{$offload->id}/handover.pdf")->assertOk()->assertHeader('content-type', 'application/pdf');
    }

    public function test_a_swap_that_cannot_have_happened_is_told(): void
    {
        $offload = $this->begun(2);
        [$one, $two] = $offload->cards()->with('card')->get()->all();
        self::assertStringContainsString("{$two->card->tag} lies in {$one->slot}", (string) $this->in($one, $two->card->tag));
        self::assertStringContainsString('Nothing lies in', (string) $this->in($one, ''));
        self::assertNull($one->refresh()->in_at);
        self::assertNull($this->in($one, $one->card->tag));
        self::assertStringContainsString('already', (string) $this->in($one));
        // Another card into the slot of one that is still being copied.
        $two->forceFill(['slot' => $one->slot, 'turn' => 2])->save();
        self::assertStringContainsString("{$one->card->tag} is still being copied", (string) $this->in($two));
    }

    public function test_a_copy_that_reads_back_otherwise_secures_nothing_until_it_is_made_anew(): void
    {
        Date::setTestNow($now = Carbon::parse('2026-11-27 20:00:00'));
        $offload = $this->begun(2, ['real' => 'fault']);
        foreach ($offload->cards as $card) {
            $this->in($card);
        }
        Date::setTestNow($now->copy()->addMinutes(30));
        $page = $this->getJson("/offloads/{$offload->id}/now")->json();
        self::assertIsArray($page);
        self::assertStringContainsString('is not what was written', (string) json_encode($page['wrong']));
        self::assertSame('ended', $page['state']);
        [$one, $two] = $offload->cards()->with('card')->get()->all();
        self::assertNull($one->clear_at);
        self::assertNotNull($two->clear_at);
        $this->post("/cards/{$one->card->tag}/clear", ['by' => 'Wren'])->assertSessionHasErrors('why');
        $this->itStandsWithTheDrive($offload, $one);
        $this->flushSession();
        $this->post("/offloads/{$offload->id}/again")->assertSessionHasNoErrors();
        $this->getJson("/offloads/{$offload->id}/now")->assertJsonPath('wrong', []);
        self::assertNotNull($one->refresh()->clear_at);
        self::assertSame(OffloadState::Ended, $offload->refresh()->state);
    }

    /** What a drive got wrong stays in the books; a made-up one, to practise with, is held against nothing. */
    private function itStandsWithTheDrive(Offload $offload, OffloadCard $card): void
    {
        $finding = DriveFinding::query()->sole();
        self::assertSame([TroubleKind::CopyDiffers, $card->card_id], [$finding->kind, $finding->card_id]);
        $this->get("/kit/drives/{$finding->drive}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->has('found', 1)
                ->where('found.0.card', $card->card->tag)
                ->where('found.0.isMadeUp', true),
        );
        self::assertArrayNotHasKey($finding->drive, DriveRecord::sentences());
        $offload->forceFill(['is_made_up' => false])->save();
        $said = DriveRecord::sentences()[$finding->drive] ?? '';
        self::assertStringContainsString("{$finding->drive} gave back one file wrong", $said);
        self::assertStringContainsString($said, html_entity_decode((string) $this->get('/kit')->getContent()));
        self::assertContains($said, $this->planned('warnings'));
        $offload->forceFill(['is_made_up' => true])->save();
    }

    /** @return list<mixed> of the plan page */
    private function planned(string $what): array
    {
        $page = $this->get('/offload')->viewData('page');
        $props = is_array($page) ? $page['props'] ?? null : null;

        return is_array($props) && is_array($props[$what] ?? null) ? array_values($props[$what]) : [];
    }

    public function test_where_cards_went_is_proposed_again(): void
    {
        $this->begun(1);
        self::assertSame(['{shoot}/{day}/{card}'], $this->planned('patterns'));
        Offload::query()->update(['state' => OffloadState::Ended]);
        $this->begin(['pattern' => '{day}/{card} of {shoot}'])->assertSessionHasNoErrors();
        self::assertSame(['{day}/{card} of {shoot}', '{shoot}/{day}/{card}'], $this->planned('patterns'));
    }

    public function test_what_is_left_is_planned_anew_and_ended_early_what_goes_is_finished(): void
    {
        Date::setTestNow($now = Carbon::parse('2026-11-27 20:00:00'));
        $offload = $this->begun(4);
        $first = $offload->cards->firstOrFail();
        $this->in($first);
        Date::setTestNow($now->copy()->addSeconds(3));
        $this->post("/offloads/{$offload->id}/anew")->assertSessionHasNoErrors();
        self::assertSame(2, $offload->refresh()->plans);
        self::assertNotNull($first->refresh()->in_at);
        self::assertCount(4, $offload->cards()->get());
        $this->post("/offloads/{$offload->id}/stop")->assertSessionHasNoErrors();
        self::assertSame(OffloadState::Ending, $offload->refresh()->state);
        Date::setTestNow($now->copy()->addMinutes(30));
        $this->getJson("/offloads/{$offload->id}/now");
        self::assertSame(OffloadState::Ended, $offload->refresh()->state);
        self::assertNotNull($first->refresh()->clear_at);
        $this->post("/offloads/{$offload->id}/anew")->assertSessionHasErrors('anew');
    }
}
