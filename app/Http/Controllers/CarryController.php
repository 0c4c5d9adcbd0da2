<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FileAnswer;
use App\Http\Person;
use App\Http\Requests\BeginOffload;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use App\Models\Stations\Station;
use App\Offload\Carrying\ConfirmSwap;
use App\Offload\Carrying\HungCopies;
use App\Offload\Carrying\OffloadStart;
use App\Offload\Carrying\PlanAnew;
use App\Offload\Carrying\RealCopies;
use App\Offload\Carrying\SecondTry;
use App\Offload\Carrying\SimulatedPlay;
use App\Offload\HandoverSheet;
use App\Pages\Offload\FollowPage;
use App\Pages\Page;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Validation\ValidationException;

/**
 * An offload that is carried out: begun, followed, planned anew, ended, handed over.
 *
 * @phpstan-type FoldersProps array{ // Where the cards of an offload would go.
 *     folders: list<string>, // on each drive
 * }
 */
final readonly class CarryController
{
    /** Where each card would go, before anything is written. */
    public function folders(BeginOffload $request): JsonResponse
    {
        return response()->json(['folders' => array_values($request->folders($request->shown()->plan()))]);
    }

    /** The plan that was shown, and no other. */
    public function begin(BeginOffload $request): RedirectResponse
    {
        $shown = $request->shown();
        $plan = $request->plan($shown);
        $by = trim($request->string('by')->value());
        Person::remember($by);
        $seconds = config('tally.offload_seconds');
        $offload = OffloadStart::of(
            $plan,
            $shown->rates,
            Station::mustBeHere(),
            trim($request->string('name')->value()),
            folders: $request->folders($plan),
            places: $request->places($plan),
            pace: max(1.0, $plan->course->done / max(1.0, is_numeric($seconds) ? (float) $seconds : 60.0)),
            by: $by,
            hasFault: $request->hasFault(),
            pattern: trim($request->string('pattern')->value()),
        );

        return redirect("/offloads/{$offload->id}");
    }

    public function show(Request $request, Offload $offload): Page
    {
        SimulatedPlay::catchUp($offload);

        return FollowPage::of($offload, Person::of($request));
    }

    /** What changes while it goes on. */
    public function now(Offload $offload): JsonResponse
    {
        SimulatedPlay::catchUp($offload);

        return response()->json(FollowPage::now($offload));
    }

    public function isIn(Request $request, Offload $offload, OffloadCard $card): RedirectResponse
    {
        $request->validate(
            ['found' => ['nullable', 'string', 'max:20'], 'by' => ['required', 'string', 'max:80'], 'less' => ['nullable', 'boolean']],
            [
                'by' => 'Nobody is named. Write who swaps.',
                'found' => 'What lies in the slot was not a tag. Choose one of the list.',
                'less' => 'Whether less is right was “:input”: say yes or no.',
            ],
        );
        SimulatedPlay::catchUp($offload);
        abort_unless($card->offload_id === $offload->id, 404);
        $by = trim($request->string('by')->value());
        Person::remember($by);
        $card->setRelation('offload', $offload);
        ConfirmSwap::isIn($card, $request->has('found') ? $request->string('found')->value() : null, $by, $request->boolean('less'));

        return back();
    }

    public function anew(Offload $offload): RedirectResponse
    {
        SimulatedPlay::catchUp($offload);

        return back()->with('said', PlanAnew::of($offload));
    }

    /** What goes is finished, and no more cards are asked for. */
    public function stop(Offload $offload): RedirectResponse
    {
        SimulatedPlay::catchUp($offload);
        if ($offload->state === OffloadState::Going) {
            $offload->forceFill(['state' => OffloadState::Ending])->save();
            $offload->is_made_up ? SimulatedPlay::catchUp($offload) : RealCopies::follow($offload);
        }

        return back();
    }

    /** What failed is tried once more, from where it was: all of it, or one copy. */
    public function again(Offload $offload, ?OffloadCopy $copy = null): RedirectResponse
    {
        SecondTry::again($offload, $copy?->exists === true ? self::of($offload, $copy) : null);

        return back();
    }

    /** A card that was written to since it was read comes home from the beginning. */
    public function beginning(Request $request, Offload $offload, OffloadCard $card): RedirectResponse
    {
        abort_unless($card->offload_id === $offload->id, 404);
        SecondTry::fromTheBeginning($card, Person::of($request) ?? $offload->by);

        return back();
    }

    /** A copy that failed is made on another drive. */
    public function elsewhere(Request $request, Offload $offload, OffloadCopy $copy): RedirectResponse
    {
        $request->validate(
            ['drive' => ['required', 'string', 'max:20'], 'folder' => ['nullable', 'string', 'max:400']],
            [
                'drive' => 'Which drive was left empty. Choose one of the list.',
                'folder' => 'A folder is a path such as /media/drive-2.',
            ],
        );
        $drive = $request->string('drive')->value();
        SecondTry::elsewhere($offload, self::of($offload, $copy), $drive, $request->string('folder')->value());

        return back();
    }

    /** One whose medium hangs is not waited for. */
    public function leave(Request $request, Offload $offload, OffloadCopy $copy): RedirectResponse
    {
        if (! HungCopies::hangs($offload, self::of($offload, $copy), now())) {
            throw ValidationException::withMessages(['leave' => 'It goes on: its worker was heard of just now. Nothing was left.']);
        }
        HungCopies::leave($offload, $copy, Person::of($request) ?? 'somebody at the page');

        return back();
    }

    private static function of(Offload $offload, OffloadCopy $copy): OffloadCopy
    {
        abort_unless($copy->offloadCard()->value('offload_id') === $offload->id, 404);

        return $copy;
    }

    public function handover(Offload $offload): HttpResponse
    {
        SimulatedPlay::catchUp($offload);

        return FileAnswer::pdf('handover.pdf', HandoverSheet::pdf($offload));
    }
}
