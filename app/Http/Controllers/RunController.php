<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\OrderRun;
use App\Models\Card;
use App\Models\Run;
use App\Models\Station;
use App\Runs\RunDesk;
use App\Runs\RunState;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;

final readonly class RunController
{
    public function store(OrderRun $request, Card $card, RunDesk $desk): RedirectResponse
    {
        $station = Station::here()
            ?? throw ValidationException::withMessages(['slot' => 'This machine is no station in the books. Set TALLY_STATION in .env to one that is.']);
        $desk->order($card, $request->slot($station), $station, $request->kind(), $request->size(), $request->runs(), $request->standIn(), null);

        return back();
    }

    public function stop(Run $run): RedirectResponse
    {
        // A run that has ended in the meantime stays as it ended.
        Run::query()->whereKey($run->id)->whereIn('state', RunState::going())->update(['stop_requested' => true]);

        return back();
    }
}
