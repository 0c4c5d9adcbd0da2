<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\LedgerRules;
use Database\Seeders\DemoCards;
use Inertia\Testing\AssertableInertia;
use Tally\Label\Bus;
use Tally\Label\Mark;
use Tests\TestCase;

/** The handbook: what the core knows, read from it, each row with its source. */
final class HandbookTest extends TestCase
{
    public function test_every_mark_bus_and_link_stands_there_with_its_source(): void
    {
        $page = $this->get('/handbook?q=V60')->viewData('page');
        self::assertSame('V60', data_get($page, 'props.search'));
        self::assertSame(['marks', 'buses', 'links', 'units', 'rules', 'cautions'], data_get($page, 'props.sections.*.key'));
        self::assertSame(
            array_map(fn (Mark $mark): string => $mark->value, Mark::cases()),
            data_get($page, 'props.sections.0.rows.*.name'),
        );
        self::assertSame(
            array_map(fn (Bus $bus): string => $bus->label(), Bus::cases()),
            data_get($page, 'props.sections.1.rows.*.name'),
        );
        $sources = data_get($page, 'props.sections.*.rows.*.source');
        self::assertIsArray($sources);
        self::assertNotContains('', $sources);
        $this->get('/handbook?q[]=V60')->assertInertia(fn (AssertableInertia $page) => $page->where('search', '')->etc());
    }

    public function test_figures_are_those_of_published_tables_and_of_the_house(): void
    {
        // SD Association: V60 promises 60 MB/s, from UHS-II up; USB 2.0: 480 Mb/s.
        $this->get('/handbook')
            ->assertSee('never under 60 MB\/s while writing; means something over UHS-II', false)
            ->assertSee('60 MB\/s on paper', false)
            ->assertSee('at least 93 % of its label');
        LedgerRules::keep(['ledger.prove_months' => 7], 'Wren');
        $this->get('/handbook')->assertSee('after 7 months, or 50 times its capacity written');
    }

    public function test_every_finding_of_a_card_says_where_it_is_looked_up(): void
    {
        $this->seed(DemoCards::class);
        $looks = data_get($this->get('/prove/QS-021')->viewData('page'), 'props.margin.reasons.*.look');
        self::assertIsArray($looks);
        self::assertNotEmpty($looks);
        foreach ($looks as $look) {
            self::assertContains($look, ['marks', 'buses', 'cautions', 'rules']);
        }
    }
}
