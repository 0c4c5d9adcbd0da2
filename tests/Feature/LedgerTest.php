<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\DueBook;
use App\Evidence\LedgerRules;
use App\Ledger\IncidentBook;
use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Models\Ledger\CardIncident;
use App\Models\Runs\Run;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Database\Seeders\DemoYear;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader as CalendarReader;
use Tally\Ledger\IncidentKind;
use Tests\Support\Complaints;
use Tests\TestCase;

/** The ledger: what a card has been through, what happened, when it is tested again, and out of service. */
final class LedgerTest extends TestCase
{
    use Complaints;

    protected function setUp(): void
    {
        parent::setUp();
        $this->seed([DemoCards::class, DemoRuns::class, DemoModes::class]);
    }

    private function named(string $tag): Card
    {
        return Card::query()->where('tag', $tag)->firstOrFail();
    }

    private function log(string $line): void
    {
        $this->post('/incidents', ['line' => $line, 'by' => 'Wren']);
    }

    public function test_a_line_from_anywhere_is_kept_with_card_reader_and_kind(): void
    {
        $this->log('qs-014 stuck in R3, r2 was fine');
        $one = CardIncident::query()->with(['card', 'reader'])->sole();
        self::assertSame(['QS-014', 'R3', IncidentKind::Stuck], [$one->card->tag, $one->reader?->tag, $one->kind]);
        self::assertSame('stuck in R3', $one->words());
        foreach (
            [
                'QS-999 stuck' => 'names no card',
                'QS-014 was fine' => 'does not say what happened',
                '' => 'Nothing is written',
                str_repeat('x', 300) => 'longer than it can be',
            ] as $line => $said
        ) {
            $this->log($line);
            self::assertStringContainsString($said, $this->complaints()['line'][0] ?? '');
        }
        $this->post('/incidents', ['line' => 'QS-014 hot', 'by' => '', 'at' => 'tomorrow']);
        self::assertSame(['by', 'at'], array_keys($this->complaints()));
        self::assertSame(1, CardIncident::query()->count());
    }

    public function test_an_incident_makes_a_proven_card_due_and_is_counted_in_the_line(): void
    {
        $due = fn (): int => $this->waiting('ledger');
        self::assertSame(0, $due());
        Date::setTestNow(now()->addMinute());
        $this->log('QS-015 dropped on the pier');
        self::assertSame(1, $due());
        $this->get('/ledger/QS-015')->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('Ledger')
                ->where('due.isNow', true)
                ->where('due.words', 'Prove it again')
                ->where('due.href', '/prove/QS-015')
                ->etc(),
        );
        // Heat and being found ask for nothing.
        $this->log('QS-022 hot');
        self::assertSame(1, $due());
        LedgerRules::keep(['ledger.after_incident' => 0], 'Wren');
        self::assertSame(0, $due());
        LedgerRules::keep(['ledger.after_incident' => 1, 'ledger.measure_months' => 1], 'Wren');
        Date::setTestNow(now()->addMonths(2));
        self::assertGreaterThan(3, $due());
        $this->get('/ledger')->assertRedirect('/ledger/QS-015');
    }

    private function waiting(string $stage): int
    {
        $page = $this->get('/prices')->viewData('page');
        $stages = data_get($page, 'props.frame.stages');
        self::assertIsArray($stages);
        foreach ($stages as $one) {
            if (data_get($one, 'key') === $stage) {
                $waiting = data_get($one, 'waiting');
                self::assertIsInt($waiting);

                return $waiting;
            }
        }
        self::fail("no stage {$stage}");
    }

    public function test_a_retired_card_keeps_its_history_and_leaves_every_plan(): void
    {
        $laden = $this->named('QS-015');
        $laden->forceFill(['footage' => 1_000_000_000])->save();
        $this->post('/cards/QS-015/retire', ['why' => 'worn', 'by' => 'Wren']);
        self::assertStringContainsString('1 GB of footage on it', $this->complaints()['why'][0] ?? '');
        $laden->forceFill(['footage' => 0])->save();
        $this->post('/cards/QS-015/retire', ['why' => '', 'by' => '']);
        self::assertSame(['why', 'by'], array_keys($this->complaints()));
        $this->post('/cards/QS-015/retire', ['why' => 'worn', 'by' => 'Wren'])->assertSessionHasNoErrors();
        self::assertNull($this->named('QS-015')->due_on);
        $laden->refresh()->forceFill(['footage' => 1_000_000_000])->save();
        $this->get('/offload?cards[]=QS-015')->assertSee('QS-015 is out of service');
        $mode = CameraMode::query()->where('name', '4K long-GOP')->sole()->id;
        $this->get("/fit/shoot?cards[]=QS-015&wanted[0][mode]={$mode}&wanted[0][daily]=10+min")->assertInertia(
            fn (AssertableInertia $page) => $page->where('packed.places.0.cards', [])->etc(),
        );
        $this->get('/ledger/QS-015')->assertInertia(
            fn (AssertableInertia $page) => $page->where('retired.why', 'worn')->where('due', null)->has('life.events.2')->etc(),
        );
        $this->post('/cards/QS-015/back');
        self::assertNull($this->named('QS-015')->retired_on);
        self::assertNotNull($this->named('QS-015')->due_on);
    }

    public function test_the_life_of_a_card_that_fades(): void
    {
        $this->seed(DemoYear::class);
        DB::enableQueryLog();
        $this->get('/ledger/QS-028')->assertInertia(
            fn (AssertableInertia $page) => $page
                ->where('heading', '11 months, 10 runs, 3 shoots')
                ->has('life.writes', 7)
                ->where('life.trend.isTold', true)
                ->where('life.trend.words', 'loses 1.5 MB/s a month')
                ->where('life.floors.1.name', 'C1 4K all-intra')
                ->where('reasons.0.lead', 'Fades: loses 1.5 MB/s a month.')
                ->where('reasons.1.rest', 'R3 is named with QS-032, QS-022 as well: try it in another reader.')
                ->etc(),
        );
        self::assertLessThan(45, count(DB::getQueryLog()));
        $events = data_get($this->get('/ledger/QS-028')->viewData('page'), 'props.life.events.*.words');
        self::assertIsArray($events);
        foreach (['bought', 'entered', 'sustained run', 'proven whole', 'Sea wall, spring tide', 'stuck in R3'] as $words) {
            self::assertContains($words, $events);
        }
        self::assertSame(['R3' => ['QS-032', 'QS-028', 'QS-022']], IncidentBook::suspects());
        $this->get('/kit')->assertSee('Suspected itself: named with trouble of QS-032, QS-028, QS-022');
        // One that did not fade says nothing.
        $this->get('/ledger/QS-015')->assertInertia(fn (AssertableInertia $page) => $page->where('life.trend', null)->etc());
    }

    public function test_due_days_go_out_as_a_calendar(): void
    {
        Card::query()->each(fn (Card $card) => DueBook::refresh($card));
        $text = (string) $this->get('/ledger/due.ics')->assertOk()->getContent();
        $calendar = CalendarReader::read($text);
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        self::assertSame(Card::query()->whereNotNull('due_on')->count(), substr_count($text, 'BEGIN:VEVENT'));
        self::assertStringContainsString('QS-015: measure it again', $text);
        self::assertStringContainsString('DTSTART;VALUE=DATE:', $text);
    }

    public function test_so_many_times_over_a_card_is_proven_again(): void
    {
        $card = $this->named('QS-022');
        LedgerRules::keep(['ledger.fills' => 1], 'Wren');
        Run::query()->where('card_id', $card->id)->update(['ended_at' => now()->subDay(), 'created_at' => now()->subDay()]);
        // 41 GB lie on it in the demo.
        $this->post('/cards/QS-022/clear', ['by' => 'Wren', 'why' => 'home']);
        foreach ([40, 30] as $size) {
            $this->post('/cards/QS-022/footage', ['footage' => "{$size} GB", 'by' => 'Wren'])->assertSessionHasNoErrors();
        }
        DueBook::refresh($card->refresh());
        self::assertTrue($card->isDue());
        self::assertStringContainsString('111 GB written since', $card->due_why ?? '');
    }
}
