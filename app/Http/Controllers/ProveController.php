<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\CardEvidence;
use App\Gear\SlotPath;
use App\Http\Person;
use App\Models\Cards\Card;
use App\Models\Stations\Station;
use App\Pages\Card\CardHeading;
use App\Pages\Card\Margin;
use App\Pages\Card\Orders;
use App\Pages\Card\ProvePage;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Tally\Quantity\Bytes;

final readonly class ProveController
{
    public function __invoke(Request $request, Card $card): Response
    {
        $runs = CardEvidence::runs($card);
        $paths = SlotPath::each($card, Station::here());

        return Inertia::render('Prove', [
            'card' => CardHeading::card($card),
            'core' => ProvePage::core($card, $runs),
            'left' => ProvePage::left($runs),
            'schools' => Orders::schools($card, $paths, $runs),
            'erasures' => ProvePage::erasures($card, $runs),
            'theirs' => ProvePage::theirs($card),
            'by' => Person::of($request) ?? '',
            'going' => Orders::going($runs),
            'order' => Orders::for($card, $paths, $runs, Bytes::of($card->capacity), 1),
            'margin' => Margin::at('prove', $card, $runs, Person::of($request)),
        ]);
    }
}
