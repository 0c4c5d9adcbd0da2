<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\IncidentBook;
use App\Ledger\Retirement;
use App\Models\Cards\Card;
use App\Models\Ledger\HouseReport;
use App\Models\Offload\SavedPlan;
use App\Models\Runs\Run;
use App\Report\CarriedHome;
use App\Report\PeriodFigures;
use App\Report\ReportBook;
use App\Report\ReportWords;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoPlans;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Date;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** Counts of a period, at its edges; and what was carried home in it. */
final class PeriodFiguresTest extends TestCase
{
    private static function day(string $day): Carbon
    {
        return Carbon::parse($day);
    }

    public function test_a_run_counts_on_its_day_from_the_first_second_to_the_last(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class]);
        Run::query()->update(['ended_at' => '2026-05-01 12:00:00', 'started_at' => '2026-05-01 11:00:00']);
        $first = Run::query()->where('kind', 'speed')->orderBy('id')->firstOrFail();
        $last = Run::query()->where('kind', 'speed')->orderByDesc('id')->firstOrFail();
        $first->forceFill(['started_at' => '2026-06-01 00:00:00', 'ended_at' => '2026-06-01 00:00:00'])->save();
        $last->forceFill(['started_at' => '2026-06-30 23:00:00', 'ended_at' => '2026-06-30 23:59:59'])->save();
        $june = PeriodFigures::of(self::day('2026-06-01'), self::day('2026-06-30'));
        self::assertSame(['speed' => 2], $june['runs']);
        self::assertSame($first->card_id === $last->card_id ? 1 : 2, $june['tested']['cards']);
        self::assertSame(3599, $june['tested']['seconds']);
        self::assertSame([], PeriodFigures::of(self::day('2026-06-02'), self::day('2026-06-29'))['runs']);
    }

    public function test_cards_are_counted_as_they_stand_and_what_became_of_them_in_its_days(): void
    {
        $this->seed(DemoCards::class);
        $all = Card::query()->count();
        $shaky = Card::query()->where('verdict', VerdictKind::Shaky)->count();
        $card = Card::query()->where('footage', 0)->where('verdict', VerdictKind::Unproven)->orderBy('id')->firstOrFail();
        $card->forceFill(['overruled' => VerdictKind::Shaky])->save();
        $figures = PeriodFigures::of(Date::now()->subDay(), Date::now());
        self::assertSame($all, array_sum($figures['cards']));
        self::assertSame($shaky + 1, $figures['cards']['Shaky']);
        $entered = Card::query()->where('created_at', '>=', Date::now()->subDay()->startOfDay())->count();
        self::assertSame(['entered' => $entered, 'retired' => 0], $figures['changed']);

        Retirement::take($card, 'bent', 'Wren');
        $figures = PeriodFigures::of(Date::now()->subDay(), Date::now());
        self::assertSame($all - 1, array_sum($figures['cards']));
        self::assertSame(1, $figures['changed']['retired']);
        self::assertSame(0, PeriodFigures::of(Date::now()->addDay(), Date::now()->addDays(2))['changed']['retired']);
    }

    public function test_incidents_are_counted_by_kind_what_came_most_first(): void
    {
        $this->card(['tag' => 'QS-014']);
        $this->card(['tag' => 'QS-015']);
        foreach (['QS-014 wet', 'QS-015 stuck in R3', 'QS-014 stuck in R1'] as $line) {
            IncidentBook::log($line, 'Wren', Date::now());
        }
        $figures = PeriodFigures::of(Date::now(), Date::now());
        self::assertSame(['stuck' => 2, 'wet' => 1], $figures['incidents']);
        $report = new HouseReport(['figures' => $figures, 'struck' => [], 'carried' => [], 'todo' => []]);
        self::assertSame([['Stuck', '2'], ['Wet', '1']], (new ReportWords($report))->incidents());
    }

    public function test_a_plan_is_carried_home_on_the_day_it_began_and_once_it_is_done(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class, DemoPlans::class]);
        $plan = SavedPlan::query()->orderByDesc('id')->firstOrFail();
        $begun = $plan->begun_at;
        self::assertNotNull($begun);
        self::assertSame(["plan {$plan->id}"], CarriedHome::since($begun, $begun));
        self::assertSame([], CarriedHome::since($begun->copy()->addDay(), $begun->copy()->addDay()));
        $home = CarriedHome::find("plan {$plan->id}");
        self::assertNotNull($home);
        self::assertSame($plan->name, $home->name);
        self::assertEqualsWithDelta((float) $plan->took(), $home->took, 0.5);
        self::assertFalse($home->isMadeUp);
        $plan->forceFill(['done_at' => null])->save();
        self::assertNull(CarriedHome::find("plan {$plan->id}"));
        self::assertNotContains("plan {$plan->id}", CarriedHome::since($begun));
        self::assertNull(CarriedHome::find('offload 4711'));
    }

    public function test_made_up_offloads_are_told_apart_and_save_nobody_anything(): void
    {
        $home = fn (string $name, float $alone, float $took, bool $isMadeUp): array => [
            'name' => $name, 'cards' => 3, 'bytes' => 90_000_000_000, 'alone' => $alone, 'took' => $took, 'is_made_up' => $isMadeUp,
        ];
        $report = new HouseReport([
            'figures' => [],
            'struck' => [],
            'todo' => [],
            'carried' => [
                $home('a', 7200.0, 3600.0, false), $home('b', 3600.0, 5400.0, false), $home('c', 90000.0, 60.0, true),
            ],
        ]);
        self::assertSame(
            [
                ['plans that were carried out', '2, and 1 made up, to practise with'],
                ['cards brought home', '6'],
                ['bytes brought home', '180 GB'],
                ['hours saved by plans', '1.0 h'],
            ],
            (new ReportWords($report))->offloads(),
        );
    }

    public function test_a_report_goes_on_where_it_was_left(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class, DemoPlans::class]);
        $report = ReportBook::begin(Date::now()->subYear(), Date::now(), 'Wren');
        self::assertFalse($report->isDone());
        self::assertNull($report->figures);
        $whole = $report;
        while (! $whole->isDone()) {
            $whole = ReportBook::goOn($whole);
        }
        $half = ReportBook::begin(Date::now()->subYear(), Date::now(), 'Moss');
        $half->update(['figures' => $whole->figures, 'taken' => 2, 'struck' => array_slice($whole->struck, 0, 2)]);
        while (! $half->isDone()) {
            $half = ReportBook::goOn($half);
        }
        self::assertSame($whole->struck, $half->struck);
        self::assertSame($whole->carried, $half->carried);
        // Asked once more, it stays as it is.
        self::assertSame($whole->struck, ReportBook::goOn($whole)->struck);
    }
}
