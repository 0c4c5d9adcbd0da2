<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FileAnswer;
use App\Http\Person;
use App\Http\Requests\AskPlan;
use App\Offload\HandsCalendar;
use App\Offload\RunbookSheet;
use App\Pages\Offload\PlanBeside;
use App\Pages\Offload\PlanPage;
use App\Pages\Page;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response as HttpResponse;

/**
 * The whole offload of an evening, from the books.
 *
 * @phpstan-type FiguresProps array{ // The figures of a plan. Times are seconds.
 *     done: float,
 *     free: float,
 *     hands: int,
 * }
 */
final readonly class PlanController
{
    public function show(AskPlan $request): Page
    {
        $asked = $request->asked();

        $plan = $request->plan($asked);

        return PlanPage::of(
            $plan,
            $asked,
            $request->buildsPreviews(),
            $request->isLong(),
            holds: $request->holds(),
            person: Person::of($request),
        );
    }

    public function beside(AskPlan $request): JsonResponse
    {
        $asked = $request->asked();

        return response()->json(PlanBeside::of($request->plan($asked), $asked->rates));
    }

    /** What a longer search finds: its figures, in seconds. */
    public function better(AskPlan $request): JsonResponse
    {
        $plan = $request->plan($request->asked(), isLong: true);

        return response()->json([
            'done' => $plan->course->done,
            'free' => $plan->course->allFree(),
            'hands' => $plan->course->hands,
        ]);
    }

    public function sheet(AskPlan $request): HttpResponse
    {
        return FileAnswer::pdf('runbook.pdf', RunbookSheet::pdf($request->shownOrFound(), $request->asked()->leftOut));
    }

    public function calendar(AskPlan $request): HttpResponse
    {
        return FileAnswer::calendar('offload.ics', HandsCalendar::of($request->shownOrFound(), $request->begins(), 'offload'));
    }
}
