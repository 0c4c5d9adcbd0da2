<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Page;
use App\Http\Requests\AskPlan;
use App\Offload\BooksQuestion;
use App\Offload\RunbookSheet;
use App\Pages\House\PlanPage;
use Illuminate\Http\Response as HttpResponse;
use Inertia\Response;
use Tally\Offload\Plan;
use Tally\Offload\Question\Goal;

/** The whole offload of an evening, from the books. */
final readonly class PlanController
{
    private const SOON = 0.15;

    private const LONGER = 2.0;

    /** For each goal that was not asked for: enough to set beside the plan. */
    private const BESIDE = 0.1;

    public function show(AskPlan $request): Response
    {
        $asked = BooksQuestion::of($request->cards(), $request->planRules());
        $seconds = [];
        foreach (Goal::cases() as $goal) {
            $isAsked = $goal === $request->goal();
            $seconds[$goal->value] = $isAsked ? ($request->boolean('longer') ? self::LONGER : self::SOON) : self::BESIDE;
        }

        return Page::show(PlanPage::of($request->goal(), Plan::each($asked->question, $seconds), $asked, $request->planRules()));
    }

    public function sheet(AskPlan $request): HttpResponse
    {
        $asked = BooksQuestion::of($request->cards(), $request->planRules());
        $plan = Plan::of($asked->question, $request->goal(), $request->boolean('longer') ? self::LONGER : self::SOON);

        return response(RunbookSheet::pdf($plan, [...$asked->leftOut, ...$plan->leftOut]), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'inline; filename="runbook.pdf"',
        ]);
    }
}
