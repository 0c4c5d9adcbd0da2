<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Kit\Drive;
use App\Models\Offload\Offload;
use App\Models\Offload\SavedPlan;
use Tally\Quantity\Bytes;
use Tests\Support\CarriesOffloads;
use Tests\TestCase;

/** What was seen is what is begun, kept and printed. */
final class ShownPlanTest extends TestCase
{
    use CarriesOffloads;

    protected function setUp(): void
    {
        parent::setUp();
        foreach (['T-1' => '20 GB', 'T-2' => '9 GB'] as $tag => $footage) {
            $this->card(['tag' => $tag]);
            $this->post("/cards/{$tag}/footage", ['footage' => $footage, 'by' => 'Wren'])->assertSessionHasNoErrors();
        }
    }

    /** @return array<string, array{string, list<string>}> tag → slot and drives, as the page shows them */
    private function shown(): array
    {
        $cards = [];
        foreach ((array) data_get($this->get('/offload')->viewData('page'), 'props.plan.cards') as $card) {
            $tag = data_get($card, 'tag');
            $cards[is_string($tag) ? $tag : ''] = [data_get($card, 'slot'), data_get($card, 'drives')];
        }

        return $cards; // @phpstan-ignore return.type
    }

    /** @return array<string, array{string, list<string>}> the same of what was begun */
    private function begun(): array
    {
        $cards = [];
        foreach (Offload::query()->latest('id')->firstOrFail()->cards()->with('card')->get() as $card) {
            $cards[$card->card->tag] = [$card->slot, $card->drives];
        }

        return $cards;
    }

    public function test_what_the_page_shows_is_begun_without_another_search(): void
    {
        $shown = $this->shown();
        $this->begin()->assertSessionHasNoErrors();
        self::assertEqualsCanonicalizing($shown, $this->begun());
    }

    public function test_where_the_kit_has_changed_both_stand_there_and_somebody_chooses(): void
    {
        $shown = $this->shown();
        $plan = $this->shownPlan();
        [$drive] = $shown['T-1'][1];
        Drive::query()->where('tag', $drive)->update(['free' => 25_000_000_000]);
        $this->from('/offload')->post('/offloads', [...self::BEGIN, 'plan' => $plan])->assertSessionHasErrors('plan');
        self::assertStringContainsString("{$drive} had", $this->complaints()['plan'][0] ?? '');
        self::assertStringContainsString('has 25 GB now', $this->complaints()['plan'][0] ?? '');
        self::assertSame(0, Offload::query()->count());
        // The page has the one that was shown beside the one of now.
        $page = $this->get('/offload')->viewData('page');
        self::assertSame($plan, data_get($page, 'props.before.key'));
        self::assertNotSame($plan, data_get($page, 'props.planKey'));
        $this->flushSession();
        $this->post('/offloads', [...self::BEGIN, 'plan' => $plan, 'as' => 'shown'])->assertSessionHasNoErrors();
        self::assertEqualsCanonicalizing($shown, $this->begun());
    }

    public function test_where_a_card_has_changed_it_is_said_and_what_cannot_be_any_more_is_not_begun(): void
    {
        $plan = $this->shownPlan();
        $this->post('/cards/T-2/footage', ['footage' => '11 GB', 'by' => 'Moss'])->assertSessionHasNoErrors();
        $this->post('/offloads', [...self::BEGIN, 'plan' => $plan])->assertSessionHasErrors('plan');
        self::assertStringContainsString('T-2 had 9 GB, and has 11 GB now.', $this->complaints()['plan'][0] ?? '');
        $this->flushSession();
        $this->post('/cards/T-2/clear', ['why' => 'given up', 'by' => 'Moss'])->assertSessionHasNoErrors();
        $this->post('/offloads', [...self::BEGIN, 'plan' => $plan, 'as' => 'shown'])->assertSessionHasErrors('plan');
        self::assertStringContainsString('T-2 can be in no plan any more', $this->complaints()['plan'][0] ?? '');
        self::assertSame(0, Offload::query()->count());
    }

    public function test_a_plan_that_no_page_showed_is_none(): void
    {
        foreach (['', 'abc', str_repeat('0', 24), '../../etc'] as $key) {
            $this->post('/offloads', [...self::BEGIN, 'plan' => $key])->assertSessionHasErrors('plan');
            $this->flushSession();
            $this->post('/offload/plans', ['plan' => $key, 'name' => 'x', 'by' => 'Wren'])->assertSessionHasErrors('plan');
            $this->flushSession();
        }
        $this->get('/offload/runbook.pdf?plan='.str_repeat('0', 24))->assertSessionHasErrors('plan');
    }

    public function test_a_kept_plan_is_begun_as_it_was_kept(): void
    {
        $shown = $this->shown();
        $this->post('/offload/plans', ['plan' => $this->shownPlan(), 'name' => 'Friday', 'by' => 'Wren'])->assertSessionHasNoErrors();
        $saved = SavedPlan::query()->firstOrFail();
        self::assertEqualsWithDelta($saved->done, $saved->plan()->course->done, 1e-6);
        $key = data_get($this->get("/offload/plans/{$saved->id}")->viewData('page'), 'props.planKey');
        $this->post('/offloads', [...self::BEGIN, 'plan' => $key])->assertSessionHasNoErrors();
        self::assertEqualsCanonicalizing($shown, $this->begun());
        self::assertSame(Bytes::parse('29 GB')->count, (int) Offload::query()->firstOrFail()->cards()->sum('bytes'));
    }
}
