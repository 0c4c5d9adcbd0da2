<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Person;
use App\Http\Requests\EnterPurchase;
use App\Pages\Ledger\WorthPage;
use App\Pages\Page;
use App\Report\PurchaseBook;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Was it worth it? */
final readonly class WorthController
{
    public function show(Request $request): Page
    {
        return WorthPage::of(Person::of($request));
    }

    public function enter(EnterPurchase $request): RedirectResponse
    {
        Person::remember($request->by());
        PurchaseBook::enter(
            $request->tag(),
            $request->price(),
            $request->hour(),
            $request->expected(),
            aMonth: $request->float('aMonth'),
            on: $request->on(),
            by: $request->by(),
        );

        return back();
    }
}
