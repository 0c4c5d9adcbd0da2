<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Evidence\CardEvidence;
use App\Gear\SlotPath;
use App\Http\Person;
use App\Models\Card;
use App\Models\Station;
use App\Pages\CoursePage;
use App\Pages\LabelWords;
use App\Pages\Margin;
use App\Pages\MeasurePage;
use App\Pages\Orders;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Tally\Quantity\Bytes;

final readonly class MeasureController
{
    public function __invoke(Request $request, Card $card): Response
    {
        $runs = CardEvidence::runs($card);

        return Inertia::render('Measure', [
            'card' => LabelWords::card($card),
            'claimLine' => MeasurePage::claimLine($card, $runs),
            'course' => CoursePage::of($card, $runs),
            'runs' => MeasurePage::table($card, $runs),
            'going' => Orders::going($runs),
            'order' => Orders::for($card, SlotPath::each($card, Station::here()), $runs, Bytes::gigabytes(1), 5),
            'margin' => Margin::at('measure', $card, $runs, Person::of($request)),
        ]);
    }
}
