<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Page;
use App\Pages\House\HandbookPage;
use Illuminate\Http\Request;
use Inertia\Response;

final readonly class HandbookController
{
    public function __invoke(Request $request): Response
    {
        $search = $request->query('q');

        return Page::show(HandbookPage::of(is_string($search) ? mb_substr(trim($search), 0, 80) : ''));
    }
}
