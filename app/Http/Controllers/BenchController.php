<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Person;
use App\Http\Requests\SaveSlot;
use App\Http\Taken;
use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use App\Pages\House\BenchPage;
use App\Pages\Page;
use App\Stations\BenchBook;
use App\Stations\SlotLook;
use App\Worker\VanishedBench;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The benches of the house and their slots. */
final readonly class BenchController
{
    public function show(SlotLook $look): Page
    {
        return BenchPage::now($look);
    }

    public function found(Request $request): RedirectResponse
    {
        $request->validate(
            ['station' => ['required', 'string', 'max:60'], 'host' => ['required', 'integer', 'exists:hosts,id']],
            [
                'station.required' => 'The name is empty. Write what this bench is called, as TALLY_STATION on it says.',
                'station.max' => 'The name is longer than 60 characters.',
                'host' => 'Choose the host that the bench is at.',
            ],
        );
        Taken::told('station', fn (): Station => BenchBook::found(trim($request->string('station')->value()), $request->integer('host')));

        return back();
    }

    /** What a bench that nothing is heard of any more has left. */
    public function end(Request $request, Station $station): RedirectResponse
    {
        VanishedBench::end($station, Person::of($request) ?? 'nobody named');

        return back();
    }

    public function store(SaveSlot $request, Station $station): RedirectResponse
    {
        BenchBook::keep($station, null, $request->columns());

        return back();
    }

    public function update(SaveSlot $request, Slot $slot): RedirectResponse
    {
        BenchBook::keep($slot->station()->firstOrFail(), $slot, $request->columns());

        return back();
    }

    public function delete(Slot $slot): RedirectResponse
    {
        BenchBook::remove($slot);

        return back();
    }
}
