<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\CardEvidence;
use App\Http\Person;
use App\Http\Requests\AskRun;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Station;
use App\Pages\Card\Orders;
use App\Pages\Card\RunPage;
use App\Pages\Page;
use App\Runs\Ordering\OrderRun;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final readonly class RunController
{
    public function show(Request $request, Run $run): Page
    {
        return RunPage::of($run, Person::of($request));
    }

    public function store(AskRun $request, Card $card, OrderRun $desk): RedirectResponse
    {
        $station = Station::mustBeHere();
        $desk->order($card, $station, $request->ordered($station, Person::of($request)));

        return back();
    }

    /** How long a run would take, while it is still being chosen; keeps nothing. */
    public function forecast(AskRun $request, Card $card): JsonResponse
    {
        $order = $request->ordered(Station::mustBeHere(), null);

        return response()->json(['expected' => Orders::expected($card, CardEvidence::runs($card), $order)]);
    }

    /** Takes a proof up again, from where it was left; or reads what it wrote once more. */
    public function goOn(Request $request, Run $run, OrderRun $desk): RedirectResponse
    {
        $desk->goOn($run, $request->boolean('again'));

        return back();
    }

    public function stop(Run $run): RedirectResponse
    {
        // A run that has ended in the meantime stays as it ended.
        Run::query()
            ->whereKey($run->id)
            ->whereIn('state', RunState::going())
            ->update(['stop_requested' => true]);

        return back();
    }
}
