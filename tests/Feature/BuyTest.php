<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\Support\Complaints;
use Tests\TestCase;

/** What to buy, from what the house’s own cards were found to be; whose cards and which lots were what. */
final class BuyTest extends TestCase
{
    use Complaints;

    protected function setUp(): void
    {
        parent::setUp();
        $this->seed([DemoCards::class, DemoRuns::class, DemoModes::class]);
    }

    /** @return list<string> */
    private function names(string $address, string $list): array
    {
        $names = data_get($this->get($address)->viewData('page'), "props.{$list}.*.name");
        self::assertIsArray($names);

        return array_values(array_filter($names, is_string(...)));
    }

    public function test_models_that_pass_are_ranked_by_three_criteria_and_the_struck_out_are_gone(): void
    {
        $mode = CameraMode::query()->where('name', '4K 60')->whereRelation('camera', 'tag', 'C1')->sole()->id;
        $this->get("/ledger/buy?mode={$mode}&count=2")->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('Buy')
                ->where('need', 'C1 4K 60: never under 42.2 MB/s')
                ->where('currency', 'EUR')
                ->where('picks.0.criterion', 'cheapest that passes')
                ->where('picks.0.offer', 'Hallbeck Sea Wall 64000000000 Quay Street Photo')
                ->where('picks.1.offer', 'Tindle Rush 256000000000 Quay Street Photo')
                ->where('picks.2.offer', null)
                ->has('struck')
                ->etc(),
        );
        $offers = $this->names("/ledger/buy?mode={$mode}", 'offers');
        self::assertNotContains('Corvane Glide', $offers);
        self::assertContains('Marrowick Tideline', $this->names("/ledger/buy?mode={$mode}", 'labelOnly'));
        // Slots of C1 take SD alone.
        self::assertNotContains('Osker Halyard', $offers);
        self::assertContains('Osker Halyard', $this->names('/ledger/buy?floor=500+MB/s', 'offers'));
    }

    public function test_a_reader_that_a_card_needs_is_added_to_its_price(): void
    {
        DB::table('reader_slots')->where('buses', 'like', '%cfexpress%b%')->update(['buses' => '["uhs-i"]']);
        $this->get('/ledger/buy?floor=500+MB/s&size=300+GB&reader=89+EUR')->assertInertia(
            fn (AssertableInertia $page) => $page
                ->where('offers.0.reader', 'its reader 89.00 EUR more')
                ->where('picks.0.sentence', fn (string $said): bool => str_contains($said, '699.00 EUR, with the reader that it needs'))
                ->etc(),
        );
        $this->get('/ledger/buy?floor=500+MB/s&size=300+GB')->assertInertia(
            fn (AssertableInertia $page) => $page->where('offers.0.reader', 'needs a reader that the house has not')->etc(),
        );
    }

    public function test_a_quote_of_a_model_that_nobody_tested_stands_apart_and_a_newer_price_counts(): void
    {
        $today = now()->format('Y-m-d');
        $quote = ['form' => 'sd', 'tier' => '60', 'capacity' => '128 GB', 'quoted_on' => $today, 'source' => 'Fathom Goods'];
        $this->post('/prices', [...$quote, 'price' => '33.00 EUR', 'model' => 'Selkie Spate'])->assertSessionHasNoErrors();
        $this->get('/ledger/buy')->assertOk();
        self::assertContains('Selkie Spate', $this->names('/ledger/buy', 'labelOnly'));
        $own = [...$quote, 'tier' => '30', 'capacity' => '256 GB', 'source' => 'Quay Street Photo', 'price' => '60.00 EUR'];
        $this->post('/prices', [...$own, 'model' => 'Tindle Rush'])->assertSessionHasNoErrors();
        $offers = data_get($this->get('/ledger/buy')->viewData('page'), 'props.offers');
        self::assertIsArray($offers);
        $rush = collect($offers)->first(fn (mixed $one): bool => data_get($one, 'name') === 'Tindle Rush');
        self::assertSame([0.2344, '1 of 1'], [data_get($rush, 'perGigabyte'), data_get($rush, 'tested')]);
    }

    public function test_bad_input_gets_its_sentence(): void
    {
        $bad = ['mode=999' => 'mode', 'floor=fast' => 'floor', 'size=0' => 'size', 'count=0' => 'count', 'reader=cheap' => 'reader'];
        foreach ($bad as $given => $field) {
            $this->get("/ledger/buy?{$given}")->assertRedirect();
            self::assertArrayHasKey($field, $this->complaints(), $given);
        }
    }

    public function test_whose_cards_and_which_lots_were_what_with_what_is_behind_the_counts(): void
    {
        $this->get('/ledger/sellers')->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('Sellers')
                ->where('sellers.0.name', 'market stall, pier')
                ->where('lots.0.name', 'TC-0426')
                ->where('lots.0.cards', 5)
                ->where('lots.0.bad', '4 of 4, 51 to 100 %; 1 not tested yet')
                ->where('lots.0.tags', ['QS-025', 'QS-026', 'QS-034', 'QS-036'])
                ->etc(),
        );
        // What a person says counts.
        Card::query()->where('lot', 'TC-0426')->update(['overruled' => 'Sound']);
        $tags = data_get($this->get('/ledger/sellers')->viewData('page'), 'props.lots.*.tags');
        self::assertIsArray($tags);
        self::assertSame([], array_merge(...array_filter($tags, is_array(...))));
    }
}
