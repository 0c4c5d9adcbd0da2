<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Person;
use App\Http\Seen;
use App\Intake\FootageBook;
use App\Models\Cards\Card;
use App\Offload\Carrying\Clearing;
use App\Rules\Quantity;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Tally\Quantity\Bytes;

/** A card carries footage, or was cleared. */
final readonly class FootageController
{
    public function carries(Request $request, Card $card): RedirectResponse
    {
        $request->validate(
            [
                'footage' => ['required', Quantity::size()],
                'files' => ['nullable', 'integer', 'min:0', 'max:10000000'],
                'by' => ['required', 'string', 'max:80'],
            ],
            [
                'footage.required' => 'How much is on it was left empty. Write a size, such as 48 GB.',
                'files' => 'The files were “:input”: give a whole number, such as 212, or leave it empty.',
                'by.required' => 'Nobody is named. Write who says so.',
                'by.max' => 'The name is longer than 80 characters. Write a shorter one.',
            ],
        );
        $footage = Bytes::parse($request->string('footage')->value(), 'GB');
        if ($footage->count > $card->capacity->count) {
            $capacity = $card->capacity->decimal();
            throw ValidationException::withMessages(['footage' => "{$footage->decimal()} of footage cannot be on a card of {$capacity}."]);
        }
        $by = trim($request->string('by')->value());
        FootageBook::carries($card, $footage, $by, $request->integer('files'), seen: Seen::said($request, 'card'));
        Person::remember($by);

        return back();
    }

    /** Where two copies stand, nobody need say where it is: they are looked at now. Whoever clears it all the same writes why. */
    public function clear(Request $request, Card $card): RedirectResponse
    {
        $request->validate(
            ['by' => ['required', 'string', 'max:80'], 'why' => ['nullable', 'string', 'max:300']],
            [
                'why.max' => 'That is longer than 300 characters. Shorten it.',
                'by.required' => 'Nobody is named. Write who clears it.',
                'by.max' => 'The name is longer than 80 characters. Write a shorter one.',
            ],
        );
        $by = trim($request->string('by')->value());
        Clearing::of($card, $by, trim($request->string('why')->value()), Seen::said($request, 'card'));
        Person::remember($by);

        return back();
    }
}
