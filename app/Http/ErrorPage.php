<?php

declare(strict_types=1);

namespace App\Http;

use App\Runs\Filing\DatabaseAway;
use App\Runs\Filing\UnfiledResult;
use App\Tables\TooManyCells;
use ErrorException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Tally\Offload\Question\UnusableQuestion;
use Tally\Offload\Search\NoLongerWanted;
use Throwable;

/** What a page says when it cannot be shown: what happened, and what would do. */
final readonly class ErrorPage
{
    public static function page(Throwable $fault, Request $request): ?Response
    {
        $away = DatabaseAway::of($fault);
        [$status, $title, $sentence] = match (true) {
            $fault instanceof NoLongerWanted => [
                503,
                'A newer question took its place',
                'Two long questions of one person go on at once, and this was an older one. Nothing was lost: ask it again.',
            ],
            $away !== null => [503, $away->words()[0], $away->words()[1].self::unfiled()],
            self::isFull($fault) => [
                507,
                'The disk of this machine is full',
                'What was asked for takes room that is not there. Nothing was lost: make room on it, and try again.',
            ],
            $fault instanceof UnusableQuestion => [
                409,
                'The kit contradicts itself',
                "No plan can be made with it: {$fault->getMessage()} Mend it in the kit, behind the house menu.",
            ],
            $fault instanceof TooManyCells => [422, 'Too many rows for a spreadsheet', $fault->getMessage()],
            $fault instanceof HttpExceptionInterface => self::status($fault->getStatusCode(), $fault, $request),
            default => [0, '', ''],
        };

        return $status === 0 ? null : response()->view('errors.trouble', ['title' => $title, 'sentence' => $sentence], $status);
    }

    /** ENOSPC, or EDQUOT, as PHP tells them. */
    private static function isFull(Throwable $fault): bool
    {
        return $fault instanceof ErrorException && preg_match('/errno=(?:28|122)\b|No space left on device/', $fault->getMessage()) === 1;
    }

    private static function unfiled(): string
    {
        $waiting = count(UnfiledResult::waiting());

        return match ($waiting) {
            0 => '',
            1 => ' One result waits there now.',
            default => " {$waiting} results wait there now.",
        };
    }

    /** @return array{int, string, string} */
    private static function status(int $status, Throwable $fault, Request $request): array
    {
        $missing = $fault->getPrevious();

        return match (true) {
            $missing instanceof ModelNotFoundException => [
                404,
                'Not found',
                'No '.
                Str::lower(class_basename($missing->getModel())).
                ' is known as “'.
                Str::limit(implode(', ', array_map(strval(...), $missing->getIds())), 40).
                '”. Look for it in the tray, or enter it.',
            ],
            $status === 404 => [
                404,
                'No such page',
                'There is nothing at “'.
                Str::limit($request->path(), 60).
                '”. The stages are intake, inspect, measure, prove and offload.',
            ],
            $status === 413 => [
                413,
                'Too large to take',
                'What was sent is larger than 72 MB and was not read. Photos may be 12 MB, tables 10 MB. Go back and choose a '.
                'smaller file.',
            ],
            $status === 405 => [405, 'Not that way', 'This address takes another kind of request. Use the buttons of the pages.'],
            $status === 419 => [419, 'This page was open too long', 'Nothing was saved. Open the page again, and enter it once more.'],
            default => [0, '', ''],
        };
    }
}
