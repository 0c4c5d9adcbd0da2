<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FileAnswer;
use App\Http\Requests\PrintTags;
use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Pages\House\TagsPage;
use App\Pages\Page;
use App\Tags\SheetKind;
use App\Tags\TagPick;
use App\Tags\TagSheet;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;
use Tally\Verdict\Step;

final readonly class TagController
{
    public function show(PrintTags $request): Page
    {
        $pick = TagPick::of($request->cards());
        $query = http_build_query(['cards' => $request->cards(), 'sheet' => $request->sheet()->value, 'begin' => $request->begin()]);

        return new TagsPage(
            sheet: [
                'cards' => $request->cards(),
                'tags' => array_values($pick->cards->map(fn (Card $card): string => $card->tag)->all()),
                'unknown' => $pick->unknown,
                'sheet' => $request->sheet()->value,
                'columns' => $request->sheet()->columns(),
                'rows' => $request->sheet()->rows(),
                'begin' => $request->begin(),
                'href' => $pick->cards->isEmpty() ? null : "/tags/sheet.pdf?{$query}",
            ],
            kinds: array_map(
                fn (SheetKind $kind): ChoiceProps => new ChoiceProps($kind->value, $kind->words(), []),
                SheetKind::cases(),
            ),
        );
    }

    public function pdf(PrintTags $request): Response
    {
        $pick = TagPick::of($request->cards());
        if ($pick->cards->isEmpty()) {
            throw ValidationException::withMessages([
                'cards' => 'No card was picked. Write tags, such as QS-014 QS-021..QS-028, or a lot.',
            ]);
        }

        $pdf = TagSheet::pdf($pick->cards, $request->sheet(), $request->begin(), $request->getSchemeAndHttpHost());

        return FileAnswer::pdf('tags.pdf', $pdf);
    }

    /** What the QR code of a tag opens: the card, where it waits. */
    public function open(Card $card): RedirectResponse
    {
        $stage = in_array($card->next_step, [Step::Inspect, Step::Measure, Step::Prove, Step::Offload], true)
            ? $card->next_step->value
            : 'intake';

        return redirect("/{$stage}/{$card->tag}");
    }
}
