<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\CardEvidence;
use App\Evidence\JudgeRules;
use App\Evidence\LedgerRules;
use App\Models\Cards\Card;
use App\Models\HouseRule;
use App\Models\Ledger\BookLine;
use App\Models\RuleDraft;
use App\Offload\PlanRules;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Facades\Date;
use Inertia\Testing\AssertableInertia;
use Tests\Support\Complaints;
use Tests\TestCase;

/** House rules: all thresholds in one place, and when cards are tested again changed with a reason. */
final class RulesTest extends TestCase
{
    use Complaints;

    /**
     * @param  array<string, string>  $more
     * @return array<string, string>
     */
    private function typed(array $more = []): array
    {
        return [
            'proveMonths' => '6',
            'measureMonths' => '1',
            'fills' => '50',
            'afterIncident' => '1',
            'shootDays' => '14',
            'shootMonths' => '3',
            'retireYears' => '0',
            'retireFills' => '0',
            'why' => 'salt water all summer',
            'by' => 'Wren',
            ...$more,
        ];
    }

    public function test_every_threshold_stands_there_with_its_standard_and_source(): void
    {
        $page = $this->get('/rules')->viewData('page');
        $values = [];
        foreach ((array) data_get($page, 'props.rules') as $rule) {
            $name = data_get($rule, 'name');
            self::assertIsString($name);
            $values[$name] = data_get($rule, 'value');
        }
        self::assertSame('93 %', $values['A medium shows at least, of its label']);
        self::assertSame('90 %', $values['Reaches a claim from']);
        self::assertSame('75 %', $values['Is Slow under, of a claim']);
        self::assertSame('1.25 times', $values['Margin on what was measured']);
        self::assertSame('25 s', $values['A swap takes']);
        self::assertSame('10 ms', $values['A file costs on top']);
        self::assertSame('12 months', $values['Proven again after']);
        self::assertNotContains('', (array) data_get($page, 'props.rules.*.source'));
    }

    public function test_a_change_has_its_reason_and_all_due_days_are_reckoned_anew(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class]);
        Date::setTestNow(now()->addMonths(2));
        $this->get('/rules')->assertInertia(fn (AssertableInertia $page) => $page->where('cards', 0)->etc());
        $this->put('/rules/due', $this->typed())->assertSessionHasNoErrors();
        self::assertSame([6, 1], [LedgerRules::now()->proveMonths, LedgerRules::now()->measureMonths]);
        $due = Card::query()->where('due_on', '<=', now()->format('Y-m-d'))->count();
        self::assertGreaterThan(3, $due);
        $this->get('/rules')->assertInertia(
            fn (AssertableInertia $page) => $page
                ->where('cards', $due)
                ->etc(),
        );
        $this->get('/rules')->assertSee('Wren, '.now()->format('j M Y').': salt water all summer');
        // What stayed as it was is no change: nobody signs for it.
        self::assertSame(2, HouseRule::query()->where('name', 'like', 'ledger.%')->count());
        self::assertSame(2, BookLine::query()->where('description', 'like', 'house rule ledger.%')->where('who', 'Wren')->count());
        $this->put('/rules/due', $this->typed(['proveMonths' => '12', 'measureMonths' => '6', 'why' => 'winter']))
            ->assertSessionHasNoErrors();
        self::assertSame(0, Card::query()->where('due_on', '<=', now()->format('Y-m-d'))->count());
    }

    public function test_what_makes_no_sense_is_refused_with_a_sentence(): void
    {
        foreach (
            [
                ['proveMonths', '0', 'from 1 to 120; 12 is the standard'],
                ['measureMonths', 'often', '“often” would not do'],
                ['fills', '1000000', 'from 1 to 10000'],
                ['afterIncident', '2', 'from 0 to 1'],
                ['shootDays', '-1', 'from 0 to 90'],
                ['shootMonths', '2.5', 'a whole number'],
                ['why', '', 'No reason is given'],
                ['by', '', 'Nobody is named'],
            ] as [$field, $given, $said]
        ) {
            $this->put('/rules/due', $this->typed([$field => $given]));
            self::assertStringContainsString($said, $this->complaints()[$field][0] ?? '', $field);
        }
        self::assertSame(0, HouseRule::query()->where('name', 'like', 'ledger.%')->count());
    }

    public function test_rules_of_judgement_are_tried_on_every_card_and_change_nothing_before_they_are_kept(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class]);
        $before = Card::query()->orderBy('id')->pluck('verdict', 'tag')->all();
        $asked = ['full' => '93', 'near' => '98', 'short' => '90', 'above' => '110', 'why' => 'only the best', 'by' => 'Wren'];
        $this->put('/rules/judgement', $asked)->assertSessionHasNoErrors();
        $draft = RuleDraft::query()->firstOrFail();
        while (! $draft->isDone()) {
            $this->post("/rules/judgement/{$draft->id}/go-on")->assertSessionHasNoErrors();
            $draft->refresh();
        }
        self::assertNotSame([], $draft->changes);
        self::assertSame($before, Card::query()->orderBy('id')->pluck('verdict', 'tag')->all());
        self::assertSame(0.9, JudgeRules::kept()->near);
        $this->get('/rules')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('draft.isDone', true)
                ->where('draft.changes.0.tag', $draft->changes[0]['tag'])
                ->where('draft.words', fn (string $words): bool => str_contains($words, '98 % instead of 90 %')),
        );

        $this->post("/rules/judgement/{$draft->id}/keep")->assertSessionHasNoErrors();
        self::assertSame([0.98, 0.9], [JudgeRules::kept()->near, JudgeRules::kept()->short]);
        $after = Card::query()->orderBy('id')->get()->mapWithKeys(fn (Card $card): array => [$card->tag => $card->verdict])->all();
        foreach ($draft->changes as $change) {
            self::assertSame($change['to'], $after[$change['tag']]->value);
        }
        // And they are what is derived from now on, by every page and command.
        Card::query()->each(fn (Card $card) => CardEvidence::refresh($card));
        self::assertEquals(
            $after,
            Card::query()->orderBy('id')->get()->mapWithKeys(fn (Card $card): array => [$card->tag => $card->verdict])->all(),
        );
        self::assertSame('only the best', HouseRule::query()->findOrFail('judge.near')->why);
        self::assertGreaterThan(0, BookLine::query()->where('subject_id', 'judge.near')->count());
        $this->post("/rules/judgement/{$draft->id}/keep")->assertSessionHasErrors(['draft']);
    }

    public function test_rules_that_are_dropped_leave_nothing_and_senseless_ones_are_refused(): void
    {
        $this->card();
        $asked = ['full' => '93', 'near' => '85', 'short' => '75', 'above' => '110', 'why' => 'old cards', 'by' => 'Wren'];
        $this->put('/rules/judgement', $asked)->assertSessionHasNoErrors();
        $draft = RuleDraft::query()->firstOrFail();
        $draft->update(['looked' => 0]);
        $this->post("/rules/judgement/{$draft->id}/keep")->assertSessionHasErrors(['draft']);
        $this->delete('/rules/judgement')->assertRedirect();
        self::assertSame(0, RuleDraft::query()->count());
        self::assertSame(0, HouseRule::query()->count());
        foreach ([['full' => '50'], ['near' => 'much'], ['short' => '90', 'near' => '85'], ['above' => '90'], ['why' => '']] as $wrong) {
            $this->put('/rules/judgement', [...$asked, ...$wrong])->assertSessionHasErrors([array_key_first($wrong)]);
        }
        self::assertSame(0, RuleDraft::query()->count());
    }

    public function test_a_plan_reckons_with_the_times_of_the_house(): void
    {
        $this->put('/rules/plan', ['swap' => '40', 'first' => '15', 'overhead' => '0.02', 'why' => 'gloves', 'by' => 'Wren'])
            ->assertSessionHasNoErrors();
        $rules = PlanRules::now();
        self::assertSame([40.0, 15.0, 0.02], [$rules->swap, $rules->first, $rules->overhead]);
        $this->get('/offload')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('rules.swap', '40'));
        $this->put('/rules/plan', ['swap' => '-1', 'first' => 'soon', 'overhead' => '3', 'why' => 'x', 'by' => 'Wren'])
            ->assertSessionHasErrors(['swap', 'first', 'overhead']);
    }

    public function test_a_card_that_has_served_by_rule_is_due_to_be_taken_out_and_its_reason_is_proposed(): void
    {
        $card = $this->card(['bought_on' => '2017-05-01']);
        $this->put('/rules/due', $this->typed(['retireYears' => '8', 'why' => 'they wear']))->assertSessionHasNoErrors();
        $card->refresh();
        self::assertSame(['2025-05-01', 'retire'], [$card->due_on?->format('Y-m-d'), $card->due_test?->value]);
        $this->get('/ledger/T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('due.words', 'Take it out of service')
                ->where('due.href', null)
                ->where('due.isNow', true)
                ->where('due.why', 'since 1 May 2025: in the house since 1 May 2017, for 8 years'),
        );
        $calendar = (string) $this->get('/ledger/due.ics')->getContent();
        self::assertStringContainsString('take it out of service', strtr($calendar, ["\r\n " => '']));
        $this->put('/rules/due', $this->typed(['retireYears' => '0', 'why' => 'they do not']))->assertSessionHasNoErrors();
        self::assertNull($card->refresh()->due_on);
    }

    public function test_the_criterion_that_decides_has_its_reason_too(): void
    {
        $asked = ['criterion' => 'guaranteed', 'spare' => '1.5', 'usable' => '0.9', 'why' => 'a live broadcast', 'by' => 'Moss'];
        $this->put('/fit/rules', $asked)->assertSessionHasNoErrors();
        $rule = HouseRule::query()->findOrFail('fit.school');
        self::assertSame(['guaranteed', 'Moss', 'a live broadcast'], [$rule->value, $rule->by, $rule->why]);
        $page = $this->get('/rules')->viewData('page');
        self::assertSame(['guaranteed', '1.5'], [data_get($page, 'props.fit.criterion'), data_get($page, 'props.fit.spare')]);
        $said = array_filter(
            (array) data_get($page, 'props.rules.*.changed'),
            fn (mixed $one): bool => is_string($one) && str_starts_with($one, 'Moss, ') && str_ends_with($one, ': a live broadcast'),
        );
        self::assertCount(3, $said);
        $this->put('/fit/rules', [...$asked, 'why' => str_repeat('x', 201)])->assertSessionHasErrors(['why']);
    }
}
