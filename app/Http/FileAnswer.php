<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Response;

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

    private static function of(string $bytes, string $type, string $disposition): Response
    {
        return response($bytes, 200, ['Content-Type' => $type, 'Content-Disposition' => $disposition]);
    }
}
