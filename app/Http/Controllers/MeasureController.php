<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\CardEvidence;
use App\Gear\SlotPath;
use App\Http\Person;
use App\Models\Cards\Card;
use App\Models\Stations\Station;
use App\Pages\Card\CardHeading;
use App\Pages\Card\CoursePicture;
use App\Pages\Card\Margin;
use App\Pages\Card\MeasurePage;
use App\Pages\Card\Orders;
use App\Pages\Page;
use Illuminate\Http\Request;
use Tally\Quantity\Bytes;

final readonly class MeasureController
{
    public function __invoke(Request $request, Card $card): Page
    {
        $runs = CardEvidence::runs($card);

        return new MeasurePage(
            card: CardHeading::card($card),
            claimLine: MeasurePage::claimLine($card, $runs),
            course: CoursePicture::of($card, $runs),
            runs: MeasurePage::table($card, $runs),
            running: Orders::running($runs),
            order: Orders::for($card, SlotPath::each($card, Station::here()), $runs, Bytes::gigabytes(1), runs: 5),
            margin: Margin::at('measure', $card, $runs, Person::of($request)),
        );
    }
}
