<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Kit\Drive;
use App\Models\Offload\SavedPlan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\ViewErrorBag;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader as Calendar;
use Tests\Support\CarriesOffloads;
use Tests\TestCase;

/** Plans that are kept, compared with what came of them, and handed on as a calendar. */
final class SavedPlanTest extends TestCase
{
    use CarriesOffloads;

    private function laden(string $tag, string $amount, string $files = ''): Card
    {
        $card = $this->card(['tag' => $tag]);
        $this->post("/cards/{$tag}/footage", ['footage' => $amount, 'files' => $files, 'by' => 'Wren'])->assertSessionHasNoErrors();

        return $card->refresh();
    }

    private function kept(string $name = 'Friday'): SavedPlan
    {
        $this->laden('T-1', '20 GB', '212');
        $this->laden('T-2', '9 GB');
        $plan = $this->shownPlan(['cards' => ['T-1', 'T-2']]);
        $this->post('/offload/plans', ['name' => $name, 'by' => 'Wren', 'plan' => $plan])->assertSessionHasNoErrors();

        return SavedPlan::query()->where('name', $name)->firstOrFail();
    }

    public function test_a_plan_is_kept_with_the_rates_of_its_day_and_reckoned_again_the_same(): void
    {
        $saved = $this->kept();
        $plan = $saved->plan();
        self::assertEqualsWithDelta($saved->done, $plan->course->done, 1e-6);
        self::assertSame(212, $plan->question->cards[0]->files);
        self::assertNotSame([], $saved->rates);
        $this->get("/offload/plans/{$saved->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('SavedPlan')
                ->where('name', 'Friday')
                ->has('plan.cards', 2)
                ->where('changed', [])
                ->where('today', fn (mixed $today): bool => is_numeric($today) && abs((float) $today - $saved->done) < 1e-6)
                ->where('outcome.words', null),
        );
        $this->get('/offload?cards[]=T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('saved.0.name', 'Friday')->where('saved.0.took', null),
        );
    }

    public function test_rates_that_are_others_by_now_are_named_and_the_plan_reckoned_with_them(): void
    {
        $saved = $this->kept();
        $used = $saved->plan()->decision->cards[0]->drives[0];
        $drive = Drive::query()->where('tag', $used)->firstOrFail();
        $drive->forceFill(['write' => 40e6, 'cache' => null, 'cache_write' => null])->save();
        $this->get("/offload/plans/{$saved->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->has('changed', 1)
                ->where('changed.0.name', "writing to {$used}")
                ->where('changed.0.now', '40 MB/s')
                ->where('today', fn (mixed $today): bool => is_numeric($today) && (float) $today > 1.2 * $saved->done)
                ->where('plan.done', fn (mixed $done): bool => is_numeric($done) && abs((float) $done - $saved->done) < 1e-6),
        );
    }

    public function test_what_came_of_it_is_held_against_it(): void
    {
        $saved = $this->kept();
        $begun = Carbon::parse('2026-11-27 21:58');
        $tell = fn (float $seconds): SavedPlan => tap($saved, fn () => $this->put("/offload/plans/{$saved->id}", [
            'begun' => $begun->format('Y-m-d\TH:i:s'),
            'free' => '',
            'done' => $begun->copy()->addSeconds((int) round($seconds))->format('Y-m-d\TH:i:s'),
            'note' => 'one card was stiff',
        ])->assertSessionHasNoErrors())->refresh();
        self::assertEqualsWithDelta($saved->done, $tell($saved->done)->took(), 0.6);
        $words = fn (string $start): callable => fn (AssertableInertia $page): AssertableInertia => $page
            ->where('outcome.words', fn (mixed $said): bool => is_string($said) && str_contains($said, $start))
            ->where('outcome.note', 'one card was stiff');
        $this->get("/offload/plans/{$saved->id}")->assertInertia($words('It came as planned.'));
        $tell(9 * $saved->done);
        $this->get("/offload/plans/{$saved->id}")->assertInertia($words('later than nine of ten such plans'));
        $tell(0.3 * $saved->done);
        $this->get("/offload/plans/{$saved->id}")->assertInertia($words('sooner than nine of ten such plans'));
    }

    /** @return iterable<string, array{array<string, string>, string, string}> */
    public static function untold(): iterable
    {
        yield 'no beginning' => [['done' => '2026-11-27 23:00'], 'begun', 'When it was begun is empty: give a day and a time'];
        yield 'no time' => [['begun' => 'nine-ish'], 'begun', 'The beginning was “nine-ish”: give a day and a time'];
        yield 'done before it began' => [
            ['begun' => '2026-11-27 22:00', 'done' => '2026-11-27 21:00'],
            'done',
            'It cannot have been safe before it was begun.',
        ];
        yield 'free before it began' => [
            ['begun' => '2026-11-27 22:00', 'free' => '2026-11-27 21:00'],
            'free',
            'The cards cannot have been free before it was begun.',
        ];
    }

    /** @param  array<string, string>  $sent */
    #[DataProvider('untold')]
    public function test_what_cannot_have_been_gets_a_sentence(array $sent, string $field, string $words): void
    {
        $saved = $this->kept();
        $this->put("/offload/plans/{$saved->id}", $sent)->assertSessionHasErrors($field);
        $errors = session('errors');
        self::assertInstanceOf(ViewErrorBag::class, $errors);
        self::assertStringContainsString($words, $errors->first($field));
        self::assertNull($saved->refresh()->begun_at);
    }

    public function test_a_plan_without_a_name_or_a_card_or_with_the_name_of_another_is_not_kept(): void
    {
        $this->kept();
        $this->post('/offload/plans', ['name' => '', 'by' => 'Wren'])->assertSessionHasErrors([
            'name' => 'The name is empty. Write what this offload is, such as: Friday, harbour survey.',
        ]);
        $this->post('/offload/plans', ['name' => 'Friday', 'by' => 'Wren'])->assertSessionHasErrors([
            'name' => 'Another plan is called “Friday” already. Choose another name.',
        ]);
        $none = $this->shownPlan(['cards' => ['']]);
        $this->post('/offload/plans', ['name' => 'Other', 'by' => 'Wren', 'plan' => $none])->assertSessionHasErrors('plan');
        self::assertSame(1, SavedPlan::query()->count());
        $this->delete('/offload/plans/'.SavedPlan::query()->firstOrFail()->id)->assertRedirect('/offload');
        self::assertSame(0, SavedPlan::query()->count());
        $this->get('/offload/plans/77')->assertNotFound();
    }

    /** Format: RFC 5545. */
    public function test_a_calendar_has_an_alarm_for_each_time_that_hands_are_needed(): void
    {
        $saved = $this->kept();
        $answer = $this->get("/offload/plans/{$saved->id}/calendar.ics?begin=2026-11-27T21:58:00Z")->assertOk();
        $answer->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        $calendar = Calendar::read((string) $answer->getContent());
        self::assertInstanceOf(VCalendar::class, $calendar);
        self::assertSame([], $calendar->validate());
        $events = array_values(array_filter($calendar->select('VEVENT'), fn ($one): bool => $one instanceof VEvent));
        $course = $saved->plan()->course;
        self::assertCount($course->hands + 2, $events);
        foreach ($events as $event) {
            self::assertCount(1, $event->select('VALARM'));
        }
        self::assertSame($course->hands, count($course->handsAtWork()));
        $said = (string) $answer->getContent();
        self::assertStringContainsString('DTSTART:20261127T215800Z', $said);
        self::assertStringContainsString('put T-1 into', str_replace("\r\n ", '', $said));
        $done = Date::parse('2026-11-27 21:58', 'UTC')->addSeconds((int) round($course->done))->format('Ymd\THis\Z');
        self::assertStringContainsString("DTSTART:{$done}", $said);
        // But for the moment at which it was written it is always the same.
        $undated = fn (string $text): string => (string) preg_replace('/^DTSTAMP:.*$/m', '', $text);
        $again = (string) $this->get("/offload/plans/{$saved->id}/calendar.ics?begin=2026-11-27T21:58:00Z")->getContent();
        self::assertSame($undated($said), $undated($again));
        $this->get("/offload/plans/{$saved->id}/calendar.ics?begin=soon")->assertSessionHasErrors('begin');
        $this->get('/offload/calendar.ics?cards[]=T-1')->assertOk()->assertSee('BEGIN:VALARM');
        $this->get("/offload/plans/{$saved->id}/runbook.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    }
}
