<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Person;
use App\Models\Runs\Run;
use App\Rules\Quantity;
use App\Runs\Filing\RunBook;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Tally\Quantity\Bytes;
use Tally\Quantity\Temperature;

/** What people add to a run: that it counts no longer, and how warm the card was. Nothing is ever taken away. */
final readonly class RunNoteController
{
    public function void(Request $request, Run $run): RedirectResponse
    {
        $request->validate(
            ['reason' => ['required', 'string', 'max:300'], 'by' => ['required', 'string', 'max:80']],
            [
                'reason.required' => 'No reason was given. Say why this run counts no longer, such as: wrong card in the slot.',
                'reason.max' => 'The reason is longer than 300 characters. Shorten it.',
                'by.required' => 'Nobody is named. Write who voids it.',
                'by.max' => 'The name is longer than 80 characters. Write a shorter one.',
            ],
        );
        if ($run->state->isGoing()) {
            return back()->withErrors(['reason' => 'It is still going. Stop it first, or let it end.']);
        }
        RunBook::void($run, trim($request->string('reason')->value()), trim($request->string('by')->value()));
        Person::remember(trim($request->string('by')->value()));

        return back();
    }

    public function countAgain(Request $request, Run $run): RedirectResponse
    {
        $request->validate(
            ['reason' => ['required', 'string', 'max:300']],
            [
                'reason.required' => 'No reason was given. Say why it counts again, such as: it was the right card after all.',
                'reason.max' => 'The reason is longer than 300 characters. Shorten it.',
            ],
        );
        RunBook::countAgain($run, trim($request->string('reason')->value()));

        return back();
    }

    public function heat(Request $request, Run $run): RedirectResponse
    {
        $request->validate(
            [
                'at' => ['nullable', Quantity::amount()],
                'temperature' => ['required', Quantity::temperature()],
            ],
            [
                'temperature.required' => 'The temperature is empty. Write what the thermometer shows, such as 52 °C.',
            ],
        );
        $at = $request->filled('at') ? Bytes::parse($request->string('at')->value(), 'GB') : null;
        RunBook::heat($run, $at, Temperature::parse($request->string('temperature')->value()), Person::of($request));

        return back();
    }
}
