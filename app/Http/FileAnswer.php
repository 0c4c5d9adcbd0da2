<?php

declare(strict_types=1);

namespace App\Http;

use App\Tables\TableWriter;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Answers with a file that was just made. */
final readonly class FileAnswer
{
    public static function pdf(string $name, string $bytes): Response
    {
        return self::of($bytes, 'application/pdf', "inline; filename=\"{$name}\"");
    }

    public static function calendar(string $name, string $bytes): Response
    {
        return self::of($bytes, 'text/calendar; charset=utf-8', "attachment; filename=\"{$name}\"");
    }

    /** @param  iterable<list<string>>  $rows  the headings first */
    public static function table(string $name, TableWriter $writer, iterable $rows): BinaryFileResponse
    {
        $path = tempnam(sys_get_temp_dir(), $name);
        abort_if($path === false, 500);
        $writer->write($path, $rows);

        return response()->download($path, "{$name}.{$writer->value}", ['Content-Type' => $writer->type()])->deleteFileAfterSend();
    }

    private static function of(string $bytes, string $type, string $disposition): Response
    {
        return response($bytes, 200, ['Content-Type' => $type, 'Content-Disposition' => $disposition]);
    }
}
