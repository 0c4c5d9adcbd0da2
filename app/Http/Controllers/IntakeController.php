<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\CardEvidence;
use App\Http\Requests\SaveCard;
use App\Models\Card;
use App\Pages\IntakePage;
use App\Pages\LabelWords;
use App\Pages\Margin;
use App\Pages\MeasurePage;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

final readonly class IntakeController
{
    public function create(): Response
    {
        return Inertia::render('Intake', ['card' => null, 'values' => IntakePage::blank(), 'choices' => IntakePage::choices(), 'margin' => null, 'claimLine' => null]);
    }

    public function edit(Card $card): Response
    {
        $runs = CardEvidence::runs($card);

        return Inertia::render('Intake', [
            'card' => LabelWords::card($card),
            'values' => IntakePage::of($card),
            'choices' => IntakePage::choices(),
            'margin' => Margin::at('intake', $card, $runs),
            'claimLine' => MeasurePage::claimLine($card, $runs),
        ]);
    }

    public function store(SaveCard $request): RedirectResponse
    {
        $card = Card::query()->create($request->columns());
        CardEvidence::refresh($card);

        return redirect("/intake/{$card->tag}");
    }

    public function update(SaveCard $request, Card $card): RedirectResponse
    {
        $card->forceFill($request->columns())->save();
        CardEvidence::refresh($card);

        return redirect("/intake/{$card->tag}");
    }
}
