<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\CardEvidence;
use App\Http\Person;
use App\Http\Requests\KeepStopwatch;
use App\Http\Requests\OrderCopy;
use App\Models\Cards\Card;
use App\Models\Stations\Station;
use App\Pages\Card\CopyPage;
use App\Pages\Page;
use App\Runs\Filing\RunBook;
use App\Runs\Ordering\OrderRun;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Tally\Measured\Chain;

/** Copies of real folders, timed by this program or by hand. */
final readonly class CopyController
{
    public function create(Request $request, Card $card): Page
    {
        $runs = CardEvidence::runs($card);

        return CopyPage::of($card, $runs, Station::here(), Person::of($request));
    }

    public function order(OrderCopy $request, Card $card, OrderRun $desk): RedirectResponse
    {
        $station = Station::mustBeHere();
        $desk->order($card, $station, $request->ordered($station, Person::of($request)));

        return back();
    }

    /** What the laps come to, while they are taken; keeps nothing. */
    public function check(Request $request, Card $card): JsonResponse
    {
        return response()->json(CopyPage::check($card, $request->all()));
    }

    public function store(KeepStopwatch $request, Card $card): RedirectResponse
    {
        RunBook::stopwatch(
            $card,
            $request->copy(),
            $request->chain() ?? Chain::unnamed(),
            $request->reader(),
            port: $request->port(),
            drive: $request->drive(),
            on: $request->day(),
            by: $request->by(),
            note: $request->note(),
        );
        Person::remember($request->by());

        return back();
    }
}
