<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\CardEvidence;
use App\Evidence\SeenOnCard;
use App\Http\Person;
use App\Http\Requests\AnswerQuestion;
use App\Intake\InspectionBook;
use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use App\Pages\Card\CardHeading;
use App\Pages\Card\InspectPage;
use App\Pages\Card\Margin;
use App\Pages\Page;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

final readonly class InspectController
{
    public function show(Request $request, Card $card): Page
    {
        $seen = SeenOnCard::of($card);

        return new InspectPage(
            card: CardHeading::card($card),
            questions: InspectPage::questions($card, $seen),
            history: InspectPage::history($card, $seen),
            readers: InspectPage::readers($card),
            person: Person::of($request) ?? '',
            margin: Margin::at('inspect', $card, CardEvidence::runs($card), Person::of($request)),
        );
    }

    public function store(AnswerQuestion $request, Card $card): RedirectResponse
    {
        DB::transaction(
            fn () => InspectionBook::enter(
                $card,
                $request->question(),
                $request->answer(),
                $request->by(),
                code: $request->code(),
                reader: $request->question()->isInReader() ? $request->reader() : null,
            ),
        );
        Person::remember($request->by());

        return back();
    }

    public function withdraw(Request $request, Inspection $inspection): RedirectResponse
    {
        $request->validate(
            ['reason' => ['required', 'string', 'max:200']],
            [
                'reason.required' => 'No reason was given. Say why this answer counts no longer, such as: wrong key.',
                'reason.max' => 'The reason is longer than 200 characters. Shorten it.',
            ],
        );
        DB::transaction(fn () => InspectionBook::withdraw($inspection, $request->string('reason')->value()));

        return back();
    }
}
