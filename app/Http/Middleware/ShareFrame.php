<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Seen;
use App\Pages\Around\Frame;
use App\Pages\House\PeoplePage;
use App\People\Workspace;
use Illuminate\Http\Request;
use Inertia\Middleware;

/** What every page shows around its surface: the tray, the line, the station. */
final class ShareFrame extends Middleware
{
    protected $rootView = 'app';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        return [
            ...parent::share($request),
            'who' => fn (): array => PeoplePage::who(),
            // Whoever is not signed in is told nothing of the house.
            'frame' => fn (): ?array => Workspace::isOpen() || Workspace::person() !== null ? Frame::now() : null,
            // What of it a save has to have seen, as it goes back in a header.
            'seen' => fn (): string => http_build_query(Seen::on($request)),
        ];
    }
}
