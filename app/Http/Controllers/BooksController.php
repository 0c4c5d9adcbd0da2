<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Books\BooksOut;
use App\Http\Requests\AskBooks;
use App\Models\When;
use App\Pages\House\BooksPage;
use App\Pages\Page;
use Illuminate\Support\Facades\Date;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** All books, or some of them, as tables or for programs. */
final readonly class BooksController
{
    private const TYPES = [
        'csv' => 'text/csv; charset=utf-8',
        'zip' => 'application/zip',
        'json' => 'application/json',
        'xlsx' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
        'ods' => 'application/vnd.oasis.opendocument.spreadsheet',
    ];

    public function show(): Page
    {
        return BooksPage::now();
    }

    public function out(AskBooks $request): BinaryFileResponse
    {
        $path = tempnam(sys_get_temp_dir(), 'books');
        abort_if($path === false, 500);
        $now = Date::now()->utc();
        $ending = BooksOut::write($path, $request->as(), $request->pick(), $now->format(When::ISO_MOMENT));

        return response()
            ->download($path, "books-{$now->format(When::ISO_DAY)}.{$ending}", ['Content-Type' => self::TYPES[$ending]])
            ->deleteFileAfterSend();
    }
}
