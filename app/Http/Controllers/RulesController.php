<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Page;
use App\Http\Person;
use App\Http\Requests\KeepDueRules;
use App\Ledger\LedgerRules;
use App\Pages\House\RulesPage;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Response;

/** What the house goes by. */
final readonly class RulesController
{
    public function show(Request $request): Response
    {
        return Page::show(RulesPage::of(Person::of($request)));
    }

    public function due(KeepDueRules $request): RedirectResponse
    {
        Person::remember($request->by());
        LedgerRules::keep($request->values(), $request->by(), $request->why());

        return back();
    }
}
