<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\CardEvidence;
use App\Http\Person;
use App\Http\Requests\KeepTyped;
use App\Models\Cards\Card;
use App\Models\When;
use App\Pages\Card\CardHeading;
use App\Pages\Card\ChainChoices;
use App\Pages\Card\Margin;
use App\Pages\Card\TypedCheck;
use App\Pages\Card\TypedPage;
use App\Pages\Page;
use App\Runs\Filing\RunBook;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Date;
use Illuminate\Validation\ValidationException;
use Tally\Measured\Chain;

/** Speeds that were measured elsewhere. */
final readonly class TypedController
{
    public function create(Request $request, Card $card): Page
    {
        return new TypedPage(
            card: CardHeading::card($card),
            chain: ChainChoices::of($card),
            today: Date::now()->format(When::ISO_DAY),
            person: Person::of($request) ?? '',
            margin: Margin::at('measure', $card, CardEvidence::runs($card), Person::of($request)),
        );
    }

    /** While it is typed; keeps nothing. */
    public function check(Request $request): JsonResponse
    {
        return response()->json(TypedCheck::of($request->input('readings')));
    }

    public function store(KeepTyped $request, Card $card): RedirectResponse
    {
        $readings = $request->readings();
        if ($readings === []) {
            throw ValidationException::withMessages(['readings' => 'No reading was typed. Give a speed, or a size and a time.']);
        }
        $beside = trim($request->string('beside')->value());
        RunBook::typed(
            $card,
            $readings,
            $request->chain() ?? Chain::unnamed(),
            $request->reader(),
            port: $request->port(),
            on: $request->day(),
            by: $request->by(),
            note: $request->note(),
            beside: $beside === '' ? null : $beside,
        );
        Person::remember($request->by());

        return redirect("/measure/{$card->tag}");
    }
}
