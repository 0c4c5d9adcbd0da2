<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Cards\Card;
use App\Pages\House\ActivityPage;
use App\Pages\Page;
use Illuminate\Http\Request;

/** Every change of the books, of the house or of a card. */
final readonly class ActivityController
{
    public function __invoke(Request $request, ?Card $card = null): Page
    {
        $before = $request->query('before');

        return ActivityPage::of($card, is_string($before) && ctype_digit($before) ? (int) $before : null);
    }
}
