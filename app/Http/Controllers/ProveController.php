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
use App\Pages\Page;
use Illuminate\Http\Request;

final readonly class ProveController
{
    public function __invoke(Request $request, Card $card): Page
    {
        $runs = CardEvidence::runs($card);
        $paths = SlotPath::each($card, Station::here());

        return new ProvePage(
            card: CardHeading::card($card),
            core: ProvePage::core($card, $runs),
            unfinished: ProvePage::unfinished($runs),
            ways: Orders::provingWays($card, $paths, $runs),
            erasures: ProvePage::erasures($card, $runs),
            theirs: ProvePage::theirs($card),
            by: Person::of($request) ?? '',
            running: Orders::running($runs),
            order: Orders::for($card, $paths, $runs, $card->capacity, runs: 1),
            margin: Margin::at('prove', $card, $runs, Person::of($request)),
        );
    }
}
