<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Erasing\Ledger;
use App\Http\Page;
use App\Models\Runs\Erasure;
use App\Pages\House\ErasedPage;
use App\Props\Page\ErasedPageProps;
use Illuminate\Http\Request;
use Inertia\Response;

final readonly class ErasedController
{
    public function show(Request $request): Response
    {
        Ledger::takeOver();
        $before = $request->integer('before');
        $lines = ErasedPage::of(null, $before > 0 ? $before : null);

        return Page::show(new ErasedPageProps(
            lines: $lines,
            count: Erasure::query()->count(),
            older: count($lines) === ErasedPage::AT_ONCE ? $lines[count($lines) - 1]->id : null,
            isNewest: $before <= 0,
        ));
    }
}
