<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Person;
use App\Http\Requests\SaveQuote;
use App\Intake\CardBook;
use App\Models\Cards\PriceQuote;
use App\Models\When;
use App\Pages\Card\IntakePage;
use App\Pages\House\PricesPage;
use App\Pages\Page;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\DB;

final readonly class PriceController
{
    public function show(): Page
    {
        return new PricesPage(
            references: PricesPage::references(),
            quotes: PricesPage::quotes(),
            forms: IntakePage::choices()['forms'],
            tiers: PricesPage::tiers(),
            today: now()->format(When::ISO_DAY),
        );
    }

    public function store(SaveQuote $request): RedirectResponse
    {
        DB::transaction(function () use ($request): void {
            $quote = PriceQuote::query()->create([...$request->columns(), 'recorded_by' => Person::of($request)]);
            CardBook::refreshPriced($quote);
        });

        return back();
    }

    public function delete(PriceQuote $quote): RedirectResponse
    {
        DB::transaction(function () use ($quote): void {
            $quote->delete();
            CardBook::refreshPriced($quote);
        });

        return back();
    }
}
