<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Pages\House\HandbookPage;
use App\Pages\Page;
use Illuminate\Http\Request;

final readonly class HandbookController
{
    public function __invoke(Request $request): Page
    {
        $search = $request->query('q');

        return HandbookPage::of(is_string($search) ? mb_substr(trim($search), 0, 80) : '');
    }
}
