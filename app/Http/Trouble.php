<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** What a page says when it cannot be shown: what happened, and what would do. */
final readonly class Trouble
{
    /** The server could not be reached or was cut off. Source: MariaDB client error codes. */
    private const DATABASE_AWAY = [2002, 2006, 2013];

    public static function page(Throwable $fault, Request $request): ?Response
    {
        [$status, $title, $sentence] = match (true) {
            $fault instanceof QueryException && self::isAway($fault) => [503, 'The database does not answer',
                'Start it again with ./start in the folder of Gritty Tally. Nothing that was saved is lost; a run that is going keeps its result until the database is back.'],
            $fault instanceof HttpExceptionInterface => self::status($fault->getStatusCode(), $fault, $request),
            default => [0, '', ''],
        };

        return $status === 0 ? null : response()->view('errors.trouble', ['title' => $title, 'sentence' => $sentence], $status);
    }

    private static function isAway(QueryException $fault): bool
    {
        $cause = $fault->getPrevious();
        // What could not connect tells it as its code, what was cut off among its details.
        $codes = [$fault->errorInfo[1] ?? null, $cause instanceof PDOException ? $cause->errorInfo[1] ?? null : null, $cause?->getCode()];

        return array_filter($codes, fn (mixed $code): bool => is_numeric($code) && in_array((int) $code, self::DATABASE_AWAY, true)) !== [];
    }

    /** @return array{int, string, string} */
    private static function status(int $status, Throwable $fault, Request $request): array
    {
        $missing = $fault->getPrevious();

        return match (true) {
            $missing instanceof ModelNotFoundException => [404, 'Not in the books',
                'No '.Str::lower(class_basename($missing->getModel())).' is known as “'.Str::limit(implode(', ', array_map(strval(...), $missing->getIds())), 40).'”. Look for it in the tray, or enter it.'],
            $status === 404 => [404, 'No such page', 'There is nothing at “'.Str::limit($request->path(), 60).'”. The stages are intake, inspect, measure, prove and offload.'],
            $status === 413 => [413, 'Too large to take', 'What was sent is larger than 72 MB and was not read. Photos may be 12 MB, tables 10 MB. Go back and choose a smaller file.'],
            $status === 405 => [405, 'Not that way', 'This address takes another kind of request. Use the buttons of the pages.'],
            $status === 419 => [419, 'This page was open too long', 'Nothing was saved. Open the page again, and enter it once more.'],
            default => [0, '', ''],
        };
    }
}
