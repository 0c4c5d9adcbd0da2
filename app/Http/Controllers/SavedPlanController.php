<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FileAnswer;
use App\Http\Person;
use App\Http\Requests\TellOutcome;
use App\Models\Offload\SavedPlan;
use App\Offload\HandsCalendar;
use App\Offload\PlanBook;
use App\Offload\RunbookSheet;
use App\Offload\ShownPlan;
use App\Pages\Offload\SavedPlanPage;
use App\Pages\Page;
use App\Rules\Text;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Date;
use Illuminate\Validation\Rule;

/** Plans that are kept, and what came of them. */
final readonly class SavedPlanController
{
    /** The plan that was shown, as it was shown. */
    public function store(Request $request): RedirectResponse
    {
        $request->validate(
            [
                'name' => ['bail', 'required', 'string', Text::upTo(80), Rule::unique('saved_plans', 'name')],
                'by' => ['required', 'string', 'max:80'],
            ],
            [
                'name.required' => 'The name is empty. Write what this offload is, such as: Friday, harbour survey.',
                'name.string' => 'The name is empty. Write what this offload is, such as: Friday, harbour survey.',
                'name.unique' => 'Another plan is called “:input” already. Choose another name.',
                'by.required' => 'Nobody is named. Write who keeps it.',
                'by.max' => 'The name is longer than 80 characters. Write a shorter one.',
            ],
        );
        $shown = ShownPlan::of($request->string('plan')->value());
        $by = trim($request->string('by')->value());
        Person::remember($by);
        $saved = PlanBook::keep(trim($request->string('name')->value()), $shown->plan(), $shown->rates, $by);

        return redirect("/offload/plans/{$saved->id}");
    }

    public function show(Request $request, SavedPlan $plan): Page
    {
        return SavedPlanPage::of($plan, Person::of($request));
    }

    public function tell(TellOutcome $request, SavedPlan $plan): RedirectResponse
    {
        $plan->forceFill($request->outcome())->save();

        return back();
    }

    public function delete(SavedPlan $plan): RedirectResponse
    {
        $plan->delete();

        return redirect('/offload');
    }

    public function sheet(SavedPlan $plan): HttpResponse
    {
        return FileAnswer::pdf('runbook.pdf', RunbookSheet::pdf($plan->plan(), [], $plan->name));
    }

    public function calendar(Request $request, SavedPlan $plan): HttpResponse
    {
        $request->validate(
            ['begin' => ['nullable', 'date']],
            ['begin' => 'The beginning was “:input”: give a day and a time, such as 2026-11-27 21:58.'],
        );
        $begins = $request->filled('begin') ? Date::parse($request->string('begin')->value()) : $plan->begun_at ?? Date::now();

        return FileAnswer::calendar('offload.ics', HandsCalendar::of($plan->plan(), $begins->toDateTimeImmutable(), $plan->name));
    }
}
