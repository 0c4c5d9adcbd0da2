<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Erasing\Ledger;
use App\Models\Runs\Erasure;
use App\Pages\House\ErasedPage;
use App\Pages\Page;
use Illuminate\Http\Request;

final readonly class ErasedController
{
    public function show(Request $request): Page
    {
        Ledger::takeOver();
        $before = $request->integer('before');
        $lines = ErasedPage::of(null, $before > 0 ? $before : null);

        return new ErasedPage(
            lines: $lines,
            count: Erasure::query()->count(),
            older: count($lines) === ErasedPage::AT_ONCE ? $lines[count($lines) - 1]['id'] : null,
            isNewest: $before <= 0,
        );
    }
}
