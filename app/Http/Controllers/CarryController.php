<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FileAnswer;
use App\Http\Page;
use App\Http\Person;
use App\Http\Requests\BeginOffload;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadState;
use App\Models\Stations\Station;
use App\Offload\Carrying\HandsDesk;
use App\Offload\Carrying\OffloadStart;
use App\Offload\Carrying\PlanAnew;
use App\Offload\Carrying\RealCopies;
use App\Offload\Carrying\StandInPlay;
use App\Offload\HandoverSheet;
use App\Pages\Offload\FollowPage;
use App\Props\Follow\FoldersProps;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Response;
use Tally\Offload\PlacedCard;

/** An offload that is carried out: begun, followed, planned anew, ended, handed over. */
final readonly class CarryController
{
    /** Where each card would go, before anything is written. */
    public function folders(BeginOffload $request): JsonResponse
    {
        return response()->json(new FoldersProps(array_values($request->folders($request->plan($request->asked())))));
    }

    public function begin(BeginOffload $request): RedirectResponse
    {
        $asked = $request->asked();
        $plan = $request->plan($asked);
        if ($plan->decision->cards === []) {
            throw ValidationException::withMessages(['name' => 'No card is planned, so nothing can begin. Tick one with footage.']);
        }
        $tags = array_map(fn (PlacedCard $card): string => $card->tag, $plan->decision->cards);
        $going = Offload::query()
            ->where('state', '!=', OffloadState::Ended)
            ->whereHas('cards.card', fn ($cards) => $cards->whereIn('tag', $tags))
            ->first();
        if ($going !== null) {
            throw ValidationException::withMessages([
                'name' => "Some of these cards are coming home already, in “{$going->name}”. End that first, or untick them.",
            ]);
        }
        $by = trim($request->string('by')->value());
        Person::remember($by);
        $seconds = config('tally.offload_seconds');
        $offload = OffloadStart::of(
            $plan,
            $asked,
            Station::mustBeHere(),
            trim($request->string('name')->value()),
            $request->folders($plan),
            $request->places($plan),
            max(1.0, $plan->course->done / max(1.0, is_numeric($seconds) ? (float) $seconds : 60.0)),
            $by,
            $request->hasFault(),
            trim($request->string('pattern')->value()),
        );

        return redirect("/offloads/{$offload->id}");
    }

    public function show(Request $request, Offload $offload): Response
    {
        StandInPlay::catchUp($offload);

        return Page::show(FollowPage::of($offload, Person::of($request)));
    }

    /** What changes while it goes on. */
    public function now(Offload $offload): JsonResponse
    {
        StandInPlay::catchUp($offload);

        return response()->json(FollowPage::now($offload));
    }

    public function isIn(Request $request, Offload $offload, OffloadCard $card): RedirectResponse
    {
        $request->validate(
            ['found' => ['nullable', 'string', 'max:20'], 'by' => ['required', 'string', 'max:80']],
            ['by' => 'Nobody is named. Write who swaps.', 'found' => 'What lies in the slot was not a tag. Choose one of the list.'],
        );
        StandInPlay::catchUp($offload);
        abort_unless($card->offload_id === $offload->id, 404);
        $by = trim($request->string('by')->value());
        Person::remember($by);
        HandsDesk::isIn($card, $request->has('found') ? $request->string('found')->value() : null, $by);

        return back();
    }

    public function anew(Offload $offload): RedirectResponse
    {
        StandInPlay::catchUp($offload);

        return back()->with('said', PlanAnew::of($offload));
    }

    /** What goes is finished, and no more cards are asked for. */
    public function stop(Offload $offload): RedirectResponse
    {
        StandInPlay::catchUp($offload);
        if ($offload->state === OffloadState::Going) {
            $offload->forceFill(['state' => OffloadState::Ending])->save();
            $offload->is_made_up ? StandInPlay::catchUp($offload) : RealCopies::follow($offload);
        }

        return back();
    }

    /** What failed is tried once more, from where it was. */
    public function again(Offload $offload): RedirectResponse
    {
        RealCopies::again($offload);

        return back();
    }

    public function handover(Offload $offload): HttpResponse
    {
        StandInPlay::catchUp($offload);

        return FileAnswer::pdf('handover.pdf', HandoverSheet::pdf($offload));
    }
}
