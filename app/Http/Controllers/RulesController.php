<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\LedgerRules;
use App\Evidence\RuleDrafts;
use App\Http\Person;
use App\Http\Requests\KeepDueRules;
use App\Http\Requests\KeepPlanRules;
use App\Http\Requests\TryJudgement;
use App\Models\RuleDraft;
use App\Offload\PlanRules;
use App\Pages\House\RulesPage;
use App\Pages\Page;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** What the house goes by. */
final readonly class RulesController
{
    public function show(Request $request): Page
    {
        return RulesPage::of(Person::of($request));
    }

    public function plan(KeepPlanRules $request): RedirectResponse
    {
        Person::remember($request->by());
        PlanRules::keep($request->values(), $request->by(), $request->why());

        return back();
    }

    public function judgement(TryJudgement $request): RedirectResponse
    {
        Person::remember($request->by());
        RuleDrafts::goOn(RuleDrafts::begin($request->thresholds(), $request->by(), $request->why()));

        return back();
    }

    public function goOn(RuleDraft $draft): RedirectResponse
    {
        RuleDrafts::goOn($draft);

        return back();
    }

    public function keep(RuleDraft $draft): RedirectResponse
    {
        if (! $draft->isDone() || $draft->kept_at !== null) {
            throw ValidationException::withMessages([
                'draft' => $draft->kept_at === null
                    ? 'Not every card was looked at yet. Wait until all were, then keep the rules.'
                    : 'These rules were kept already.',
            ]);
        }
        RuleDrafts::keep($draft);

        return back();
    }

    public function drop(): RedirectResponse
    {
        RuleDrafts::drop();

        return back();
    }

    public function due(KeepDueRules $request): RedirectResponse
    {
        Person::remember($request->by());
        LedgerRules::keep($request->values(), $request->by(), $request->why());

        return back();
    }
}
