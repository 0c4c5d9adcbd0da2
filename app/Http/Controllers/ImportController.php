<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Person;
use App\Intake\CardBook;
use App\Intake\CardEntry;
use App\Intake\CardTable;
use App\Intake\Import\ImportReading;
use App\Intake\Import\WaitingTable;
use App\Pages\House\ImportPage;
use App\Pages\Page;
use App\Tables\NotATable;
use App\Tables\TableLimits;
use App\Tables\TableWriter;
use App\Tables\TooManyCells;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final readonly class ImportController
{
    public function create(): Page
    {
        return new ImportPage(import: null, fields: [], reading: null);
    }

    public function store(Request $request): RedirectResponse
    {
        $file = $request->file('table');
        if (! ($file instanceof UploadedFile) || ! $file->isValid()) {
            throw ValidationException::withMessages(['table' => 'No whole table arrived. Choose a CSV, XLSX or ODS of at most 10 MB.']);
        }
        $name = $file->getClientOriginalName();
        if ($file->getSize() > TableLimits::BYTES) {
            throw ValidationException::withMessages([
                'table' => NotATable::tooLarge($name, $file->getSize(), TableLimits::BYTES)->getMessage(),
            ]);
        }
        $table = WaitingTable::sent($name);
        // Once the answer has gone out: the page that it leads to follows the reading.
        app()->terminating(fn () => $table->read($file->getPathname()));

        return redirect("/import/{$table->id}");
    }

    public function show(Request $request, string $import): Page|RedirectResponse
    {
        $table = WaitingTable::find($import);
        if ($table === null || $table->refused !== null) {
            $table?->drop();

            return self::gone($table?->refused);
        }

        return new ImportPage(
            import: $table->isRead ? ImportPage::of($table, self::chosen($request)) : null,
            fields: $table->isRead ? ImportPage::fields() : [],
            reading: $table->isRead ? null : $table->name,
        );
    }

    /** Enters every row that can be entered; rows that cannot are left out, as the page said before. */
    public function confirm(Request $request, string $import): RedirectResponse
    {
        $table = WaitingTable::find($import);
        if ($table === null || ! $table->isRead) {
            return self::gone();
        }
        $headings = $table->headings();
        $match = ImportPage::match($table, self::chosen($request));
        $cards = [];
        foreach (ImportReading::of($headings, $match, $table->body()) as $read) {
            if ($read instanceof CardEntry) {
                $cards[] = $read->columns;
            }
        }
        if ($cards === []) {
            throw ValidationException::withMessages(['table' => 'No row of this table can be entered yet. Match its columns first.']);
        }
        try {
            // Of two that confirm it at once, one enters it.
            $isOurs = DB::transaction(function () use ($table, $cards, $request): bool {
                $isOurs = $table->drop();
                if ($isOurs) {
                    CardBook::enter($cards, Person::of($request));
                }

                return $isOurs;
            }, 5);
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages([
                'table' => 'Somebody else has just entered cards with some of these tags. Nothing was added; the rows below say which now.',
            ]);
        }
        if (! $isOurs) {
            return self::gone();
        }
        $first = $cards[0]['tag'] ?? '';

        return redirect('/intake/'.(is_string($first) ? $first : ''));
    }

    public function cancel(string $import): RedirectResponse
    {
        WaitingTable::find($import)?->drop();

        return redirect('/import');
    }

    public function export(string $format): BinaryFileResponse
    {
        $writer = TableWriter::tryFrom($format) ?? abort(404);
        $path = tempnam(sys_get_temp_dir(), 'cards');
        abort_if($path === false, 500);
        try {
            $writer->write($path, CardTable::rows());
        } catch (TooManyCells $fault) {
            unlink($path);
            throw $fault;
        }

        return response()
            ->download($path, "cards.{$writer->value}", ['Content-Type' => $writer->type()])
            ->deleteFileAfterSend();
    }

    /** @return array<array-key, mixed>|null */
    private static function chosen(Request $request): ?array
    {
        $map = $request->input('map');

        return is_array($map) ? $map : null;
    }

    /** @param  string|null  $why  what is wrong with it */
    private static function gone(?string $why = null): RedirectResponse
    {
        return redirect('/import')->withErrors([
            'table' => $why ?? 'This table is no longer waiting: it was entered, cancelled, or a day has passed. Send it again.',
        ]);
    }
}
