<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Page;
use App\Models\Cards\Card;
use App\Pages\House\ActivityPage;
use Illuminate\Http\Request;
use Inertia\Response;

/** Every change of the books, of the house or of a card. */
final readonly class ActivityController
{
    public function __invoke(Request $request, ?Card $card = null): Response
    {
        $before = $request->query('before');

        return Page::show(ActivityPage::of($card, is_string($before) && ctype_digit($before) ? (int) $before : null));
    }
}
