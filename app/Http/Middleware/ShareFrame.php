<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Pages\Frame;
use App\Props\Frame\FrameProps;
use Illuminate\Http\Request;
use Inertia\Middleware;

/** What every page shows around its surface: the tray, the line, the station. */
final class ShareFrame extends Middleware
{
    protected $rootView = 'app';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        return [...parent::share($request), 'frame' => fn (): FrameProps => Frame::now()];
    }
}
