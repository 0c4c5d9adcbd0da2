<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Kit\CameraMode;
use App\Models\Shoot\Shoot;
use App\Models\Shoot\ShootCard;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use PhpOffice\PhpSpreadsheet\IOFactory;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\Process\Process;
use Tally\Shoot\Recording;
use Tests\Support\Complaints;
use Tests\TestCase;

/** The whole shoot: asked while somebody types, kept, printed, and handed over to the offload. */
final class ShootTest extends TestCase
{
    use Complaints;

    protected function setUp(): void
    {
        parent::setUp();
        $this->seed([DemoCards::class, DemoRuns::class, DemoModes::class]);
    }

    private function mode(string $camera, string $name): string
    {
        $mode = CameraMode::query()
            ->where('name', $name)
            ->whereRelation('camera', 'tag', $camera)
            ->sole();

        return (string) $mode->id;
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private function asked(array $more = []): array
    {
        return [
            'days' => '2',
            'home' => '1',
            'extra' => '10',
            'wanted' => [
                ['mode' => $this->mode('C1', '4K 60'), 'daily' => '60 min', 'spare' => '1'],
                ['mode' => $this->mode('C3', 'mapping stills'), 'daily' => '900', 'days' => '2'],
            ],
            ...$more,
        ];
    }

    /** @param  array<string, mixed>  $more */
    private function address(array $more = [], string $page = '/fit/shoot'): string
    {
        return "{$page}?".http_build_query($this->asked($more));
    }

    public function test_which_card_goes_where_what_is_missing_and_what_comes_home(): void
    {
        DB::enableQueryLog();
        $this->get($this->address())->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('Shoot')
                ->where('packed.places.0.name', 'C1 4K 60')
                ->where('packed.places.0.needs', '66 min')
                ->where('packed.places.0.misses', '')
                ->where('packed.places.1.isSpare', true)
                ->where('packed.places.2.needs', '990 shots')
                ->has('packed.evenings', 2)
                ->where('packed.evenings.0.cards.0.size', '121.52 GB')
                ->etc(),
        );
        self::assertLessThan(40, count(DB::getQueryLog()));
        $this->get('/fit/shoot')->assertInertia(
            fn (AssertableInertia $page) => $page->has('packed.places', 0)->where('missing', '')->etc(),
        );
        // Only those that are ticked.
        $this->get($this->address(['cards' => ['QS-023']]))->assertInertia(
            fn (AssertableInertia $page) => $page
                ->where('missing', '66 min and 1 spare and 990 shots')
                ->has('buys', 3)
                ->where('left', ['QS-023'])
                ->etc(),
        );
    }

    public function test_an_evening_is_handed_over_to_the_offload(): void
    {
        $page = $this->get($this->address())->viewData('page');
        self::assertIsArray($page);
        $offload = data_get($page, 'props.packed.evenings.0.offload');
        self::assertIsString($offload);
        $tag = data_get($page, 'props.packed.evenings.0.cards.0.tag');
        self::assertIsString($tag);
        $this->get($offload)->assertInertia(
            fn (AssertableInertia $plan) => $plan
                ->component('Plan')
                ->where('ticked', [$tag])
                ->has('holds', 1)
                ->where('plan.amount', '121.52 GB')
                ->etc(),
        );
        $this->get('/offload?holds[]=nonsense')->assertRedirect();
        self::assertStringContainsString('give tag and bytes', $this->complaints()['holds.0'][0] ?? '');
    }

    public function test_a_shoot_is_kept_with_its_cards_and_shown_as_it_was(): void
    {
        $this->post('/fit/shoots', $this->asked(['name' => 'Sea wall', 'begins' => '2026-12-01', 'by' => 'Wren']))
            ->assertSessionHasNoErrors();
        $shoot = Shoot::query()->sole();
        self::assertGreaterThanOrEqual(3, ShootCard::query()->count());
        CameraMode::query()->whereKey($this->mode('C1', '4K 60'))->update(['writes' => 1e9]);
        $this->get("/fit/shoots/{$shoot->id}")->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('KeptShoot')
                ->where('when', '1 Dec to 2 Dec 2026')
                ->where('packed.places.0.needs', '66 min')
                ->where('packed.evenings.0.day', 'Tue 1 Dec')
                ->etc(),
        );
        $this->post('/fit/shoots', $this->asked(['name' => 'Sea wall', 'begins' => '1 Dec', 'by' => '']));
        self::assertSame(['name', 'begins', 'by'], array_keys($this->complaints()));
        $this->post('/fit/shoots', ['name' => 'empty', 'begins' => '2026-12-01', 'by' => 'Wren']);
        self::assertStringContainsString('Nothing is recorded', $this->complaints()['name'][0] ?? '');
        $this->delete("/fit/shoots/{$shoot->id}")->assertRedirect('/fit/shoot');
        self::assertSame(0, ShootCard::query()->count());
    }

    public function test_the_packing_list_goes_out_as_a_page_and_as_a_table(): void
    {
        $pdf = (string) $this->get($this->address([], '/fit/shoot/packing.pdf'))->assertOk()->getContent();
        $text = new Process(['pdftotext', '-layout', '-', '-']);
        $text->setInput($pdf)->mustRun();
        foreach (['C1 4K 60: needs 66 min', 'For the lid of the case', 'Day 1, home', '121.52 GB', 'a spare: needs 1 card'] as $words) {
            self::assertStringContainsString($words, $text->getOutput());
        }
        $file = $this->get($this->address([], '/fit/shoot/packing.xlsx'))->assertOk()->baseResponse;
        self::assertInstanceOf(BinaryFileResponse::class, $file);
        $rows = IOFactory::load($file->getFile()->getPathname())->getActiveSheet()->toArray();
        self::assertSame(['Camera', 'Mode', 'For', 'Slot', 'Turn', 'Card'], array_slice($rows[0], 0, 6));
        self::assertSame(['C1', '4K 60'], array_slice($rows[1], 0, 2));
        $short = (string) $this->get($this->address(['cards' => ['QS-023']], '/fit/shoot/packing.pdf'))->getContent();
        $text->setInput($short)->mustRun();
        self::assertStringContainsString('Missing: 66 min', $text->getOutput());
        self::assertStringContainsString('To buy at the least', $text->getOutput());
    }

    public function test_bad_input_gets_its_sentence(): void
    {
        $row = ['mode' => $this->mode('C1', '4K 60')];
        foreach (
            [
                'days' => [['days' => '0'], '“0”: give a whole number'],
                'extra' => [['extra' => 'much'], 'give percent'],
                'wanted.0.mode' => [['wanted' => [['mode' => '9999', 'daily' => '1 h']]], 'no longer in the kit'],
                'wanted.0.daily' => [['wanted' => [[...$row, 'daily' => '90']]], '“90” is not a length of time'],
                'wanted.0.days' => [['wanted' => [[...$row, 'daily' => '1 h', 'days' => '2-9']]], 'numbers from 1 to 2'],
                'wanted' => [['wanted' => 'all'], 'was not sent as a list'],
                'wanted.0' => [['wanted' => ['all']], 'was not sent as mode, amount and days'],
                'cards' => [['cards' => 'QS-014'], 'Tick fewer'],
            ] as $field => [$given, $said]
        ) {
            $this->get($this->address($given))->assertRedirect();
            self::assertStringContainsString($said, $this->complaints()[$field][0] ?? '', $field);
        }
    }

    public function test_proxies_and_second_copies_have_places_of_their_own(): void
    {
        CameraMode::query()->whereKey($this->mode('C1', '4K 60'))->update(['records' => Recording::Proxies, 'proxy_writes' => 2e6]);
        $wanted = [
            ['mode' => $this->mode('C1', '4K 60'), 'daily' => '60 min'],
            ['mode' => $this->mode('C1', '4K all-intra'), 'daily' => '10 min'],
            ['mode' => $this->mode('C2', '4K 60'), 'daily' => '10 min'],
        ];
        $this->get($this->address(['wanted' => $wanted]))->assertInertia(
            fn (AssertableInertia $page) => $page
                ->where('packed.places.1.name', 'C1 4K 60, proxies')
                ->where('packed.places.3.name', 'C1 4K all-intra, the same again')
                ->where('packed.places.5.name', 'C2 4K 60, a spare')
                ->etc(),
        );
    }
}
