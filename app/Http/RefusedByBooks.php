<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Throwable;

/**
 * What the books themselves would not take, though it had passed every look at it: somebody else was faster, or a figure is beyond
 * what a column holds. Nothing of it was saved, and whoever sent it is told instead of being shown a fault.
 */
final readonly class RefusedByBooks
{
    /** Two at the same moment: a key that is there by now, a deadlock, a lock that did not come free. Source: MariaDB error codes. */
    private const FASTER = [1062, 1020, 1205, 1213];

    /** Out of range, too long, no such date or number, not whole. */
    private const BEYOND = [1264, 1265, 1292, 1366, 1406, 1690, 3819, 4025];

    public static function answer(Throwable $fault, Request $request): RedirectResponse|JsonResponse|null
    {
        $code = $fault instanceof QueryException ? $fault->errorInfo[1] ?? null : null;
        $sentence = match (true) {
            $request->isMethodSafe() || ! $fault instanceof QueryException => null,
            in_array($code, self::FASTER, true) => 'Somebody else saved the same at this very moment. Nothing of yours was saved: look at '.
                'what is there now, and send it again.',
            in_array($code, self::BEYOND, true) => self::beyond($fault),
            default => null,
        };
        if ($sentence === null) {
            return null;
        }

        return $request->expectsJson() && ! $request->hasHeader('X-Inertia')
            ? response()->json(['message' => $sentence], 409)
            : redirect()
                ->back(303)
                ->withInput($request->except(['password', 'now', 'again']))
                ->withErrors(['may' => $sentence]);
    }

    /** The server names the column in what it says, and nowhere else. */
    private static function beyond(QueryException $fault): string
    {
        $said = is_string($fault->errorInfo[2] ?? null) ? $fault->errorInfo[2] : '';
        $isNamed = preg_match('/column (?:\S+\.)?[`\'](\w+)[`\']/i', $said, $found) === 1;
        $column = $isNamed ? str_replace('_', ' ', $found[1]) : 'one of the fields';

        return "“{$column}” is more than the books can hold: give a smaller figure, a nearer date or a shorter text. Nothing was saved.";
    }
}
