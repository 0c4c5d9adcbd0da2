<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Offload\SavedPlan;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Label\Finding;
use Tally\Label\Severity;
use Tally\Measured\Chain;
use Tally\Offload\Load;
use Tally\Offload\PlacedCard;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;
use Tally\Probe\SpeedPlan;
use Tally\Quantity\Bytes;
use Tally\Record\SizeParameters;
use Tally\Record\SpeedParameters;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

final class PagesTest extends TestCase
{
    public function test_the_root_leads_to_intake_and_a_stage_to_the_card_that_waits_there(): void
    {
        $this->get('/')->assertRedirect('/intake');
        $this->get('/prove')->assertRedirect('/intake');
        $this->card(['tag' => 'A-1', 'next_step' => 'measure']);
        $this->card(['tag' => 'B-1', 'next_step' => 'prove']);
        $this->get('/prove')->assertRedirect('/prove/B-1');
        $this->get('/measure')->assertRedirect('/measure/A-1');
    }

    public function test_measure_shows_the_claim_line_the_runs_and_the_reasons(): void
    {
        $card = $this->card();
        $this->conduct($card, 'speed', 'Tray 3');
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Measure', false)
                ->has('claimLine.ways', 2)
                ->has('claimLine.ways.0.runs', 5)
                ->where('claimLine.ways.0.claim', 40)
                ->where('claimLine.ways.0.floor', 10)
                ->where('claimLine.ways.0.floorMark', 'U1')
                ->where('claimLine.wall', 95)
                ->has('runs', 1)
                ->where('runs.0.struck', false)
                ->where('running', null)
                ->where('margin.next.href', "/prove/{$card->tag}"),
        );
        self::assertSame(1, $this->inTray($card->tag)['runs']);
    }

    public function test_a_suspected_number_is_struck_through(): void
    {
        $card = $this->card();
        $run = $this->conduct($card, 'speed', 'Tray 3');
        $run->forceFill(['result' => [...$run->rawResult() ?? [], 'reads' => [2.41e9, 2.4e9]]])->save();
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('runs.0.struck', true)
                ->where('runs.0.note', 'faster than card or chain can carry on paper: the host’s cache answered, or a unit slipped')
                ->where(
                    'claimLine.ways.1.struck',
                    'faster than card or chain can carry on paper: the host’s cache answered, or a unit slipped',
                )
                ->where('claimLine.ways.0.struck', null),
        );
    }

    public function test_a_run_on_its_way_is_shown_with_its_progress(): void
    {
        $card = $this->card();
        Run::query()->create([
            'card_id' => $card->id,
            'station_id' => $this->station()->id,
            'kind' => 'proof',
            'state' => RunState::Running,
            'started_at' => now(),
            'chain' => Chain::unnamed(),
            'parameters' => new SizeParameters(),
            'progress' => new Progress(Phase::Reading, 1, 500, 1000, done: 1500, total: 2000, seconds: 270.0, rate: 5e6),
        ]);
        $this->get("/prove/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('running.waiting', false)
                ->where('running.progress.share', 0.75)
                ->where('running.progress.left', '1 min 30 s')
                ->where('frame.going', 1),
        );
        self::assertTrue($this->inTray($card->tag)['going']);
    }

    public function test_prove_shows_the_core_sample(): void
    {
        $card = $this->card(['stand_in' => 'wraps,size=32GB,true=8GB']);
        $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'proof',
            'slot' => $this->slot('Tray 3')->id,
            'whole_map' => true,
        ])->assertSessionHasNoErrors();
        $this->carryOut();
        $this->get("/prove/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Prove', false)
                ->where('core.capacity', 8_000_000_000)
                ->where('core.wrap', 8_000_000_000)
                ->where('core.condition', 'wraps')
                ->has('core.patches', 4)
                ->where('core.patches.0.source', 24_000_000_000)
                ->where('margin.verdict', 'Sham')
                ->where('margin.next.href', null),
        );
    }

    public function test_offload_ranks_the_ways_and_names_the_pinch(): void
    {
        $card = $this->card(['footage' => 20_000_000_000]);
        $this->conduct($card, 'speed', 'Tray 3');
        $this->get("/offload/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Offload', false)
                ->where('amount', '20 GB')
                ->has('routes.0.links')
                ->where('routes.0.pinch', fn (string $pinch): bool => str_contains($pinch, 'T-1'))
                ->where('leftOut.0', 'R5 does not take SD with UHS-I.'),
        );
        $this->get("/offload/{$card->tag}?amount=100+GB")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('amount', '100 GB'),
        );
    }

    public function test_an_amount_that_is_none_gets_a_sentence(): void
    {
        $card = $this->card();
        $this->get("/offload/{$card->tag}?amount=lots")->assertSessionHasErrors([
            'amount' => '“lots” is not a size. Write a number and a unit in bytes, such as 32 GB, 29.8 GiB or 512 MB.',
        ]);
    }

    public function test_what_is_not_there_is_said_in_a_sentence(): void
    {
        $this->get('/prove/QS-404')->assertNotFound()->assertSee('No card is known as “QS-404”.');
        $this->get('/polish/QS-1')->assertNotFound()->assertSee('There is nothing at “polish/QS-1”.');
        $this->post('/intake/QS-1')->assertStatus(405)->assertSee('Use the buttons of the pages.');
        $this->post('/runs/999/stop')->assertNotFound()->assertSee('No run is known as “999”.');
    }

    public function test_a_database_that_does_not_answer_is_named_with_what_to_do(): void
    {
        $port = config('database.connections.mariadb.unix_socket');
        DB::purge();
        config(['database.connections.mariadb.unix_socket' => '/nowhere']);
        $this->get('/intake')->assertStatus(503)->assertSee('The database does not answer')->assertSee('./start');
        config(['database.connections.mariadb.unix_socket' => $port]);
        DB::purge();
    }

    /** @return iterable<string, array{string}> */
    public static function stages(): iterable
    {
        foreach (['intake', 'measure', 'prove', 'offload'] as $stage) {
            yield $stage => [$stage];
        }
    }

    #[DataProvider('stages')]
    public function test_no_page_asks_more_of_the_database_when_the_house_grows(string $stage): void
    {
        $card = $this->card();
        $this->conduct($card, 'speed', 'Tray 3');
        $ask = function () use ($card, $stage): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get("/{$stage}/{$card->tag}")->assertOk();

            return count(DB::getQueryLog());
        };
        $before = $ask();
        for ($i = 2; $i <= 60; $i++) {
            $other = $this->card(['tag' => "T-{$i}"]);
            Run::query()->create([
                'card_id' => $other->id,
                'kind' => 'speed',
                'state' => RunState::Done,
                'chain' => Chain::unnamed(),
                'parameters' => new SpeedParameters(SpeedPlan::plain(Bytes::gigabytes(1))),
            ]);
            Run::query()->create([
                'card_id' => $card->id,
                'slot_id' => $this->slot('Tray 3')->id,
                'kind' => 'speed',
                'state' => RunState::Failed,
                'chain' => Chain::unnamed(),
                'parameters' => new SpeedParameters(SpeedPlan::plain(Bytes::gigabytes(1))),
            ]);
        }
        self::assertSame($before, $ask());
        self::assertLessThan(18, $before);
    }

    public function test_the_demo_has_every_verdict_and_no_contradiction_on_its_honest_cards(): void
    {
        DB::table('slots')->delete();
        foreach (['stations', 'hubs', 'ports', 'readers', 'adapters', 'cables', 'drives', 'cameras', 'hosts'] as $table) {
            DB::table($table)->delete();
        }
        $this->seed(DatabaseSeeder::class);
        foreach (VerdictKind::cases() as $kind) {
            self::assertTrue(Card::query()->where('verdict', $kind)->exists(), $kind->value);
        }
        // Cards that are what their labels say, as the demo's own books have it, get no more than a note.
        foreach (['QS-014', 'QS-015', 'QS-022', 'QS-024', 'QS-027', 'QS-028', 'QS-032'] as $tag) {
            $card = Card::query()->where('tag', $tag)->firstOrFail();
            $grave = array_filter(
                CardEvidence::of($card, CardEvidence::runs($card))->findings(),
                fn (Finding $finding): bool => $finding->severity !== Severity::Note,
            );
            self::assertSame([], array_map(fn (Finding $finding): string => $finding->id, $grave), $tag);
        }
        // A serial met twice convicts neither of the two.
        foreach (['QS-039', 'QS-040'] as $copy) {
            self::assertSame(VerdictKind::Unproven, Card::query()->where('tag', $copy)->firstOrFail()->verdict);
        }
        self::assertGreaterThanOrEqual(24, Card::query()->count());
        self::assertSame(0, Run::query()->where('state', '!=', RunState::Done)->count());
        // Five cards came home by relay, with a swap, and what held them up most has a name.
        $plan = SavedPlan::query()->firstOrFail()->plan();
        self::assertCount(5, $plan->decision->cards);
        self::assertSame('relay', $plan->scheme());
        self::assertContains(2, array_map(fn (PlacedCard $card): int => $card->order, $plan->decision->cards));
        self::assertNotSame('', Load::of($plan)[0]->name);
    }

    public function test_the_demo_is_not_mixed_into_a_house_that_has_data(): void
    {
        $this->command('tally:demo')->expectsOutputToContain('There is data already')->assertFailed();
        $this->command('tally:demo', ['--if-empty' => true])->assertSuccessful();
        self::assertSame(0, Card::query()->count());
    }

    public function test_the_typescript_of_the_props_is_up_to_date(): void
    {
        $this->command('tally:types', ['--check' => true])->assertSuccessful();
    }
}
