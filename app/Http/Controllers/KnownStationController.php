<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\EvidenceFile\KnownStations;
use App\Http\Person;
use App\Models\Stations\KnownStation;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The stations of other houses whose result files count here. */
final readonly class KnownStationController
{
    public function trust(Request $request): RedirectResponse
    {
        $request->validate(
            ['known' => ['required', 'string', 'max:200']],
            ['known' => 'Give the line that php artisan tally:key of that station prints, such as Bench of friends=…'],
        );
        KnownStations::trust($request->string('known')->value(), self::by($request));

        return back();
    }

    public function revoke(Request $request, KnownStation $known): RedirectResponse
    {
        KnownStations::revoke($known, self::by($request));

        return back();
    }

    public function again(Request $request, KnownStation $known): RedirectResponse
    {
        KnownStations::trustAgain($known, self::by($request));

        return back();
    }

    private static function by(Request $request): string
    {
        return Person::of($request) ?? 'nobody named';
    }
}
