<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\CardEvidence;
use App\Http\Person;
use App\Http\Requests\SaveCard;
use App\Http\Taken;
use App\Intake\CardBook;
use App\Models\Cards\Card;
use App\Pages\Card\CardHeading;
use App\Pages\Card\IntakePage;
use App\Pages\Card\Margin;
use App\Pages\Card\MeasurePage;
use App\Pages\Page;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

final readonly class IntakeController
{
    public function create(): Page
    {
        return new IntakePage(
            card: null,
            values: IntakePage::blank(),
            choices: IntakePage::choices(),
            margin: null,
            claimLine: null,
            photos: [],
            revision: null,
            footage: null,
            person: '',
        );
    }

    public function edit(Request $request, Card $card): Page
    {
        $runs = CardEvidence::runs($card);

        return new IntakePage(
            card: CardHeading::card($card),
            values: IntakePage::of($card),
            choices: IntakePage::choices(),
            margin: Margin::at('intake', $card, $runs, Person::of($request)),
            claimLine: MeasurePage::claimLine($card, $runs),
            photos: IntakePage::photos($card),
            revision: $card->revision,
            footage: IntakePage::footage($card),
            person: Person::of($request) ?? '',
        );
    }

    public function store(SaveCard $request): RedirectResponse
    {
        $cards = $request->cards();
        $by = Person::of($request);
        Taken::told('tag', fn () => DB::transaction(fn () => CardBook::enter($cards, $by)));
        $first = $cards[0]['tag'] ?? '';

        return redirect('/intake/'.(is_string($first) ? $first : ''));
    }

    public function update(SaveCard $request, Card $card): RedirectResponse
    {
        Taken::told(
            'tag',
            fn () => DB::transaction(function () use ($request, $card): void {
                CardBook::correct(
                    $card,
                    $request->cards()[0] ?? [],
                    is_numeric($seen = $request->input('revision')) ? (int) $seen : null,
                    Person::of($request),
                );
            }),
        );

        return redirect("/intake/{$card->tag}");
    }
}
