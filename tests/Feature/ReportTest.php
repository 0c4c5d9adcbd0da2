<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Ledger\HouseReport;
use App\Models\Ledger\Purchase;
use App\Models\Ledger\PurchaseSaving;
use App\Models\Offload\SavedPlan;
use App\Models\Runs\Run;
use App\Report\ReportBook;
use App\Report\ReportSheet;
use App\Report\ReportWords;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoPlans;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Facades\Date;
use Inertia\Testing\AssertableInertia;
use Tally\Offload\OneByOne;
use Tally\Offload\Without;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** Reports of a period, and whether what was bought was worth it. */
final class ReportTest extends TestCase
{
    private function gathered(string $from, string $to): HouseReport
    {
        $this->post('/ledger/reports', ['from' => $from, 'to' => $to, 'by' => 'Wren'])->assertSessionHasNoErrors();
        $report = HouseReport::query()->latest('id')->firstOrFail();
        for ($slice = 0; ! $report->isDone() && $slice < 100; $slice++) {
            $this->post("/ledger/reports/{$report->id}/go-on")->assertSessionHasNoErrors();
            $report->refresh();
        }
        self::assertTrue($report->isDone());

        return $report;
    }

    /**
     * @param  list<array{string, string}>  $rows
     * @return array<string, string>
     */
    private static function rows(array $rows): array
    {
        return array_column($rows, 1, 0);
    }

    public function test_a_report_counts_what_stands_in_the_books(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class, DemoPlans::class]);
        $report = $this->gathered(Date::now()->subYear()->format('Y-m-d'), Date::now()->format('Y-m-d'));
        $words = new ReportWords($report);
        $cards = self::rows($words->cards());
        foreach (VerdictKind::cases() as $kind) {
            $count = Card::query()->whereNull('retired_on')->whereRaw('coalesce(overruled, verdict) = ?', [$kind->value])->count();
            self::assertSame((string) $count, $cards[$kind->value], $kind->value);
        }
        $tested = self::rows($words->tested());
        self::assertSame((string) Run::query()->where('kind', 'proof')->whereNotNull('ended_at')->count(), $tested['Full proof']);
        $struck = Card::query()->whereRaw("coalesce(overruled, verdict) in ('Sham', 'Shaky')")->orderBy('tag')->pluck('tag')->all();
        self::assertSame($struck, array_column($report->struck, 'tag'));
        self::assertNotContains('', array_column($report->struck, 'why'));

        $hours = SavedPlan::query()
            ->whereNotNull('done_at')
            ->get()
            ->sum(fn (SavedPlan $saved): float => max(0.0, OneByOne::seconds($saved->plan()) - (float) $saved->took()) / 3600);
        self::assertGreaterThan(1.0, $hours);
        $offloads = self::rows($words->offloads());
        self::assertSame('3', $offloads['plans that were carried out']);
        self::assertSame(number_format($hours, 1).' h', $offloads['hours saved by plans']);

        self::assertStringStartsWith('%PDF', (string) $this->get("/ledger/reports/{$report->id}/report.pdf")->assertOk()->getContent());
        $this->get("/ledger/reports/{$report->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Report')
                ->where('report.isDone', true)
                ->has('report.struck', count($struck))
                ->where('report.parts.0.title', 'Cards by verdict'),
        );
    }

    public function test_a_period_in_which_nothing_happened_says_so_and_a_card_that_left_meanwhile_is_not_waited_for(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class]);
        $empty = $this->gathered('2001-01-01', '2001-03-31');
        self::assertSame([], $empty->struck);
        self::assertSame('0.0 h', self::rows((new ReportWords($empty))->offloads())['hours saved by plans']);
        self::assertStringStartsWith('%PDF', ReportSheet::pdf($empty));

        $report = ReportBook::begin(Date::now()->subYear(), Date::now(), 'Wren');
        $report->update(['todo' => [...$report->todo, 'card 999999', 'plan 999999']]);
        while (! $report->isDone()) {
            $report = ReportBook::goOn($report);
        }
        self::assertCount(count($report->todo) - 2, [...$report->struck, ...$report->carried]);
    }

    public function test_bad_days_are_refused(): void
    {
        $this->post('/ledger/reports', ['from' => 'spring', 'to' => '2026-03-31', 'by' => 'Wren'])->assertSessionHasErrors(['from']);
        $this->post('/ledger/reports', ['from' => '2026-03-31', 'to' => '2026-01-01', 'by' => ''])->assertSessionHasErrors(['to', 'by']);
        self::assertSame(0, HouseReport::query()->count());
    }

    public function test_what_was_bought_is_held_against_what_plans_would_have_been_without_it(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class, DemoPlans::class]);
        $saved = SavedPlan::query()->whereNotNull('done_at')->latest('id')->firstOrFail();
        $plan = $saved->plan();
        // The relay of the day before needs this drive: without it there is no plan, and so nothing is told.
        $asked = ['tag' => 'D1', 'price' => '89 EUR', 'hour' => '60 EUR', 'minutes' => '10', 'aMonth' => '8', 'by' => 'Wren'];
        $this->post('/ledger/worth', [...$asked, 'on' => Date::now()->subWeeks(3)->format('Y-m-d')])->assertSessionHasNoErrors();
        $told = (float) Without::seconds($plan->question, $plan->goal, 'D1') - (float) $saved->took();
        self::assertGreaterThan(60.0, $told);
        // 10 minutes, 8 times a month, at 60 an hour: 80 a month against 89.
        $this->get('/ledger/worth')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Worth')
                ->where('purchases.0.hoped', '10 min of an offload, 8 a month: paid after a month')
                ->where('purchases.0.open', 0)
                ->where('purchases.0.share', round($told / 3600 * 60 / 89, 3)),
        );
        $savings = PurchaseSaving::query()->pluck('seconds', 'what');
        self::assertCount(2, $savings);
        self::assertEqualsWithDelta($told, $savings["plan {$saved->id}"], 0.5);
        self::assertContains(null, $savings->all());
        // What it did not bring home says nothing of it.
        $this->post('/ledger/worth', [...$asked, 'on' => Date::now()->format('Y-m-d')])->assertSessionHasNoErrors();
        $this->get('/ledger/worth')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('purchases.0.saved', 'nothing yet'),
        );
    }

    public function test_a_purchase_that_makes_no_sense_is_refused(): void
    {
        $asked = ['tag' => 'R1', 'price' => '89 EUR', 'hour' => '60 EUR', 'minutes' => '10', 'aMonth' => '8', 'by' => 'Wren'];
        $asked['on'] = '2026-01-05';
        $wrong = ['tag' => 'QS-014', 'price' => 'much', 'hour' => '60 USD', 'minutes' => '-3', 'aMonth' => 'often', 'by' => ''];
        foreach ($wrong as $field => $given) {
            $this->post('/ledger/worth', [...$asked, $field => $given])->assertSessionHasErrors([$field]);
        }
        $this->post('/ledger/worth', [...$asked, 'on' => '2999-01-01'])->assertSessionHasErrors(['on']);
        self::assertSame(0, Purchase::query()->count());
    }
}
