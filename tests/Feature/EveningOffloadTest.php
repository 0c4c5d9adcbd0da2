<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Models\Offload\SavedPlan;
use App\Models\Shoot\Shoot;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Inertia\Testing\AssertableInertia;
use Tests\Support\CarriesOffloads;
use Tests\TestCase;

/** The evenings of a shoot, handed over to the offload: what will be on the cards is planned, and nothing in the books changes. */
final class EveningOffloadTest extends TestCase
{
    use CarriesOffloads;

    protected function setUp(): void
    {
        parent::setUp();
        $this->seed([DemoCards::class, DemoRuns::class, DemoModes::class]);
        Card::query()->update(['footage' => 0]);
    }

    /** @return list<string|null> where the offload of each evening is planned */
    private function evenings(string $home): array
    {
        $mode = CameraMode::query()->where('name', '4K long-GOP')->sole()->id;
        $asked = ['days' => '3', 'home' => $home, 'extra' => '0', 'wanted' => [['mode' => (string) $mode, 'daily' => '20 min']]];
        $offloads = data_get($this->get('/fit/shoot?'.http_build_query($asked))->viewData('page'), 'props.packed.evenings.*.offload');
        self::assertIsArray($offloads);

        return array_map(fn (mixed $one): ?string => is_string($one) ? $one : null, array_values($offloads));
    }

    public function test_only_evenings_on_which_cards_come_home_are_planned(): void
    {
        self::assertNotContains(null, $this->evenings('1'));
        self::assertSame([false, true, true], array_map(fn (?string $one): bool => $one !== null, $this->evenings('2')));
        self::assertSame([false, false, true], array_map(fn (?string $one): bool => $one !== null, $this->evenings('3')));
    }

    public function test_a_plan_reckons_with_what_will_be_on_the_cards_and_leaves_the_books_alone(): void
    {
        $offload = $this->evenings('1')[0] ?? '';
        $this->get($offload)->assertInertia(
            // 20 minutes of 200 Mb/s are 30 GB.
            fn (AssertableInertia $page) => $page->where('plan.amount', '30 GB')->has('plan.cards', 1)->has('holds', 1)->etc(),
        );
        self::assertSame(0, Card::query()->where('footage', '>', 0)->count());
        // Without it there is nothing to bring home.
        $this->get(explode('&holds', $offload)[0])->assertInertia(fn (AssertableInertia $page) => $page->has('plan.cards', 0)->etc());
    }

    public function test_the_runbook_and_a_saved_plan_are_of_the_same_evening(): void
    {
        parse_str((string) parse_url($this->evenings('3')[2] ?? '', PHP_URL_QUERY), $asked);
        self::assertArrayHasKey('holds', $asked);
        $this->get('/offload/runbook.pdf?'.http_build_query($asked))->assertOk()->assertHeader('Content-Type', 'application/pdf');
        $kept = ['plan' => $this->shownPlan($asked), 'name' => 'after low water', 'by' => 'Wren'];
        $this->post('/offload/plans', $kept)->assertSessionHasNoErrors();
        $saved = SavedPlan::query()->sole();
        // Three days on one card.
        self::assertEqualsWithDelta(90e9, $saved->plan()->question->cards[0]->bytes, 1e9);
        $this->get("/offload/plans/{$saved->id}")->assertOk();
    }

    public function test_what_cards_will_hold_is_read_with_care(): void
    {
        foreach (['QS-015', 'QS-015:', 'QS-015:-5', 'QS-015:1e9', ':5', 'QS-015:9999999999999999'] as $held) {
            $this->get('/offload?'.http_build_query(['cards' => ['QS-015'], 'holds' => [$held]]))->assertRedirect();
            self::assertStringContainsString('give tag and bytes', $this->complaints()['holds.0'][0] ?? '', $held);
        }
        $this->get('/offload?'.http_build_query(['cards' => ['QS-015'], 'holds' => 'QS-015:5']))->assertRedirect();
        self::assertStringContainsString('not sent as a list', $this->complaints()['holds'][0] ?? '');
        // Of a card that is not ticked, or not there, nothing is made.
        $this->get('/offload?'.http_build_query(['cards' => ['QS-015'], 'holds' => ['QS-999:5000000000']]))->assertInertia(
            fn (AssertableInertia $page) => $page->has('plan.cards', 0)->etc(),
        );
    }

    public function test_a_kept_shoot_has_its_evenings_by_their_days(): void
    {
        $mode = CameraMode::query()->where('name', '4K long-GOP')->sole()->id;
        $this->post('/fit/shoots', [
            'days' => '2',
            'home' => '1',
            'extra' => '0',
            'wanted' => [['mode' => (string) $mode, 'daily' => '20 min', 'days' => '2']],
            'name' => 'neap tide',
            'begins' => '2026-12-30',
            'by' => 'Wren',
        ])->assertSessionHasNoErrors();
        $shoot = Shoot::query()->sole();
        self::assertSame('2026-12-31', $shoot->ends()->format('Y-m-d'));
        $this->get("/fit/shoots/{$shoot->id}")->assertInertia(
            // Nothing is recorded on the first day.
            fn (AssertableInertia $page) => $page->has('packed.evenings', 1)->where('packed.evenings.0.day', 'Thu 31 Dec')->etc(),
        );
        $sheet = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
        foreach (['packing.pdf' => 'application/pdf', 'packing.xlsx' => $sheet] as $file => $type) {
            $this->get("/fit/shoots/{$shoot->id}/{$file}")->assertOk()->assertHeader('Content-Type', $type);
        }
        $this->get('/fit/shoots/999')->assertNotFound();
    }
}
