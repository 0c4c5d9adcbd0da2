<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Cards\FootageAct;
use App\Models\Kit\Drive;
use App\Models\Offload\SavedPlan;
use App\Models\Runs\HeatReading;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Offload\PlanRules;
use App\Pages\Card\IntakePage;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Symfony\Component\HttpFoundation\Response;
use Tally\Measured\Chain;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tests\Support\CarriesOffloads;
use Tests\TestCase;

/** Two people at one card: the later, older page undoes nothing, and what is sent twice counts once. */
final class StaleSaveTest extends TestCase
{
    use CarriesOffloads;

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed> the form of a card as it stands, with what was changed in it
     */
    private static function form(Card $card, array $with): array
    {
        return array_filter(
            [...get_object_vars(IntakePage::of($card->refresh())), 'revision' => $card->revision, ...$with],
            is_string(...),
            ARRAY_FILTER_USE_KEY,
        );
    }

    public function test_an_older_page_is_refused_with_what_the_other_changed(): void
    {
        $card = $this->card();
        $mine = self::form($card, ['lot' => 'L-9']);
        $this->withCookie('person', 'Wren')
            ->put('/cards/T-1', self::form($card, ['seller' => 'Quay', 'serial' => 'SN1']))
            ->assertSessionHasNoErrors();
        $this->put('/cards/T-1', $mine)->assertSessionHasErrors('revision');
        $says = session()->get('errors')?->first('revision'); // @phpstan-ignore method.nonObject
        self::assertMatchesRegularExpression(
            '/^Since this page was loaded, Wren changed Serial from nothing to SN1 on .+; Wren changed Seller from nothing to Quay '.
            'on .+ UTC\. Nothing of yours was saved yet\.$/',
            is_string($says) ? $says : '',
        );
        $card->refresh();
        self::assertSame(['SN1', 'Quay', null, 1], [$card->serial, $card->seller, $card->lot, $card->revision]);
        // The page has what is in the books now at hand, and with it both can be kept.
        $this->get('/intake/T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('revision', 1)->where('values.serial', 'SN1'),
        );
        $this->put('/cards/T-1', self::form($card, ['lot' => 'L-9']))->assertSessionHasNoErrors();
        self::assertSame(['SN1', 'L-9', 2], [$card->refresh()->serial, $card->lot, $card->revision]);
        $this->put('/cards/T-1', array_diff_key($mine, ['revision' => 0]))->assertSessionHasErrors('revision');
    }

    public function test_no_page_of_a_label_undoes_that_there_is_footage_on_the_card(): void
    {
        $card = $this->card();
        $before = self::form($card, ['name' => 'Tindle Classic II']);
        $this->post('/cards/T-1/footage', ['footage' => '20 GB', 'by' => 'Wren'])->assertSessionHasNoErrors();
        self::assertSame('', $before['footage']);
        $this->put('/cards/T-1', $before)->assertSessionHasNoErrors();
        self::assertSame(['Tindle Classic II', 20_000_000_000], [$card->refresh()->name, $card->footage->count]);
        $this->post('/cards/T-1/runs', [
            'kind' => 'proof',
            'slot' => $this->slot('Raw 1')->id,
            'tag' => 'T-1',
            'by' => 'Moss',
        ])->assertSessionHasErrors('slot');
        foreach ([['by' => 'Moss'], ['why' => 'on D1 and D3']] as $half) {
            $this->post('/cards/T-1/clear', $half)->assertSessionHasErrors();
        }
        $this->post('/cards/T-1/clear', ['by' => 'Moss', 'why' => 'on D1 and D3, both read back'])->assertSessionHasNoErrors();
        self::assertSame(0, $card->refresh()->footage->count);
        self::assertSame(
            [['Wren', 20_000_000_000], ['Moss', 0]],
            FootageAct::query()->orderBy('id')->get()->map(fn (FootageAct $act): array => [$act->recorded_by, $act->bytes])->all(),
        );
        $this->get('/intake/T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('footage.now', null)
                ->where('footage.acts.0.note', 'on D1 and D3, both read back')
                ->where('footage.acts.1.what', '20 GB'),
        );
        $this->post('/cards/T-1/footage', ['footage' => '33 GB', 'by' => 'Wren'])->assertSessionHasErrors([
            'footage' => '33 GB of footage cannot be on a card of 32 GB.',
        ]);
    }

    public function test_an_old_page_clears_marks_and_retires_nothing_that_it_did_not_show(): void
    {
        $this->card();
        $this->post('/cards/T-1/footage', ['footage' => '5 GB', 'by' => 'Wren'])->assertSessionHasNoErrors();
        $shown = data_get($this->get('/intake/T-1')->viewData('page'), 'props.seen');
        self::assertIsString($shown);
        $this->post('/cards/T-1/footage', ['footage' => '30 GB', 'by' => 'Moss'])->assertSessionHasNoErrors();
        foreach (
            [
                'clear' => ['by' => 'Wren', 'why' => 'on D1 and D3'],
                'footage' => ['by' => 'Wren', 'footage' => '6 GB'],
                'retire' => ['by' => 'Wren', 'why' => 'worn'],
            ] as $act => $with
        ) {
            foreach ([$shown, 'nothing'] as $seen) {
                $this->withHeader('X-Seen', $seen)->post("/cards/T-1/{$act}", $with)->assertSessionHasErrors('seen');
                $this->flushHeaders()->flushSession();
            }
        }
        $this->withHeader('X-Seen', $shown)->post('/cards/T-1/clear', ['by' => 'Wren', 'why' => 'on D1']);
        $says = session()->get('errors')?->first('seen'); // @phpstan-ignore method.nonObject
        self::assertSame(
            'Since this page was loaded, Moss marked 30 GB on it. Nothing of yours was saved. Look at what stands here now, and say so '.
            'again.',
            $says,
        );
        self::assertSame(30_000_000_000, Card::query()->firstOrFail()->footage->count);
        self::assertNull(Card::query()->firstOrFail()->retired_on);
    }

    public function test_nor_do_old_pages_of_rules_kit_and_plans(): void
    {
        $rules = ['swap' => '30', 'first' => '10', 'overhead' => '0.01', 'by' => 'Wren', 'why' => 'timed'];
        $this->put('/rules/plan', $rules)->assertSessionHasNoErrors();
        $shown = self::seenOn($this->get('/rules'));
        $this->put('/rules/plan', [...$rules, 'swap' => '40'])->assertSessionHasNoErrors();
        $this->withHeader('X-Seen', $shown)->put('/rules/plan', [...$rules, 'swap' => '20'])->assertSessionHasErrors('seen');
        $this->withHeader('X-Seen', '')->put('/rules/plan', [...$rules, 'swap' => '20'])->assertSessionHasErrors('seen');
        $this->flushHeaders()->flushSession();
        self::assertSame(40.0, PlanRules::now()->swap);
        $drive = Drive::query()->where('tag', 'D5')->firstOrFail();
        $shown = self::seenOn($this->get('/kit/drives/D5'));
        $drive->forceFill(['name' => 'mended'])->save();
        $this->withHeader('X-Seen', $shown)->delete('/kit/drives/D5')->assertSessionHasErrors('seen');
        $this->flushHeaders()->flushSession();
        self::assertNotNull($drive->fresh());
        $this->card();
        $this->post('/cards/T-1/footage', ['footage' => '5 GB', 'by' => 'Wren']);
        $plan = $this->shownPlan();
        $this->post('/offload/plans', ['plan' => $plan, 'name' => 'Friday', 'by' => 'Wren'])->assertSessionHasNoErrors();
        $saved = SavedPlan::query()->firstOrFail();
        $shown = self::seenOn($this->get("/offload/plans/{$saved->id}"));
        $saved->forceFill(['note' => 'late'])->save();
        $this->withHeader('X-Seen', $shown)->delete("/offload/plans/{$saved->id}")->assertSessionHasErrors('seen');
        self::assertNotNull($saved->fresh());
    }

    /** @param  TestResponse<Response>  $page */
    private static function seenOn(TestResponse $page): string
    {
        $seen = data_get($page->viewData('page'), 'props.seen');

        return is_string($seen) ? $seen : self::fail('The page does not say what it shows.');
    }

    public function test_a_form_that_is_sent_twice_counts_once(): void
    {
        $card = $this->card();
        $run = Run::query()->create([
            'card_id' => $card->id,
            'kind' => RunKind::Sustained,
            'state' => RunState::Done,
            'chain' => Chain::unnamed(),
            'parameters' => new SizeParameters(null),
        ]);
        $heat = ['temperature' => '52 °C', 'at' => '1 GB'];
        $this->withHeader('X-Once', 'one sending')
            ->from('/measure/T-1')
            ->post("/runs/{$run->id}/heat", $heat)
            ->assertRedirect('/measure/T-1');
        $this->withHeader('X-Once', 'one sending')
            ->from('/measure/T-1')
            ->post("/runs/{$run->id}/heat", $heat)
            ->assertRedirect('/measure/T-1');
        self::assertSame(1, HeatReading::query()->count());
        // The same reading again, later on, is another one.
        $this->withHeader('X-Once', 'the next sending')->post("/runs/{$run->id}/heat", $heat);
        self::assertSame(2, HeatReading::query()->count());
        // What was refused may be sent again.
        $this->withHeader('X-Once', 'refused')
            ->post("/runs/{$run->id}/heat", ['temperature' => 'warm'])
            ->assertSessionHasErrors('temperature');
        $this->withHeader('X-Once', 'refused')
            ->post("/runs/{$run->id}/heat", ['temperature' => 'warm'])
            ->assertSessionHasErrors('temperature');
        $this->withHeader('X-Once', 'refused')
            ->post("/runs/{$run->id}/heat", ['temperature' => '53 °C'])
            ->assertSessionHasNoErrors();
        self::assertSame(3, HeatReading::query()->count());
    }

    public function test_one_tag_entered_by_two_people_at_the_same_moment_is_told_and_no_fault(): void
    {
        $label = [...self::form($this->card(), []), 'tag' => 'QS-100'];
        // Between the check and the writing, somebody else is faster.
        $done = false;
        DB::connection()->beforeExecuting(function (string $query) use (&$done): void {
            if ($done === false && str_starts_with($query, 'insert into `cards`')) {
                $done = true;
                $this->card(['tag' => 'QS-100']);
            }
        });
        $this->post('/cards', $label)->assertSessionHasErrors([
            'tag' => 'Somebody else has just entered the same one. Nothing of yours was saved; choose another, or look at theirs.',
        ]);
        self::assertSame(0, DB::table('sent_forms')->count());
    }

    public function test_a_form_that_died_half_way_is_carried_out_when_it_comes_again_and_other_contents_are_another_form(): void
    {
        $card = $this->card();
        $send = fn (string $footage): TestResponse => $this->withHeaders(['X-Once' => 'one key'])->post("/cards/{$card->tag}/footage", [
            'footage' => $footage,
            'by' => 'Wren',
        ]);
        $send('1 GB')->assertSessionHasNoErrors();
        $send('1 GB');
        self::assertSame(1, FootageAct::query()->count(), 'sent twice it counts once');
        $send('2 GB')->assertSessionHasNoErrors();
        self::assertSame(2, FootageAct::query()->count(), 'other contents under the same key are another form');
        // What was begun when its process died is not done.
        DB::table('sent_forms')->update(['done_at' => null]);
        $send('1 GB')->assertSessionHasNoErrors();
        self::assertSame(3, FootageAct::query()->count());
        self::assertNotNull(DB::table('sent_forms')->max('done_at'));
    }
}
