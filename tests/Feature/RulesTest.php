<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Ledger\LedgerRules;
use App\Models\Cards\Card;
use App\Models\HouseRule;
use App\Models\Ledger\BookLine;
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
        self::assertSame('25 s, the first 10 s', $values['A swap takes']);
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
}
