<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\CardEvidence;
use App\Http\Person;
use App\Models\Cards\Card;
use App\Pages\Card\CardHeading;
use App\Pages\Card\Margin;
use App\Pages\Card\OffloadPage;
use App\Pages\Page;
use App\Rules\Quantity;
use Illuminate\Http\Request;
use Tally\Quantity\Bytes;

final readonly class OffloadController
{
    public function __invoke(Request $request, Card $card): Page
    {
        $request->validate(['amount' => ['nullable', Quantity::size()]]);
        $runs = CardEvidence::runs($card);
        // What was asked for, else the footage on it, else a full card.
        $amount = match (true) {
            $request->filled('amount') => Bytes::parse($request->string('amount')->value(), 'GB'),
            ! $card->footage->isZero() => $card->footage,
            default => $card->capacity,
        };
        [$ways, $leftOut] = OffloadPage::ways($card, $runs, $amount);

        return new OffloadPage(
            card: CardHeading::card($card),
            amount: $amount->exact(),
            routes: OffloadPage::props($ways),
            count: count($ways),
            leftOut: $leftOut,
            margin: Margin::at('offload', $card, $runs, Person::of($request)),
        );
    }
}
