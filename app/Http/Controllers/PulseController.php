<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Runs\Run;
use App\Pages\Around\Frame;
use App\Pages\Around\Tray;
use App\Pages\Around\TrayFilter;
use App\Pages\Around\TraySearch;
use App\Pages\Card\Orders;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * What changed since a page asked last: one short answer instead of the page anew.
 *
 * @phpstan-import-type FrameProps from Frame
 * @phpstan-import-type TagProps from Tray
 * @phpstan-import-type RunningProps from Orders
 *
 * @phpstan-type PulseProps array{ // What an open page asks for now and then: what changed around it, and how the run it follows stands.
 *     frame: FrameProps,
 *     tray: list<TagProps>, // cards; the first of all, or those that changed, and those that were looked for
 *     anew: bool, // whether they stand in the place of all that were told before
 *     mark: string, // to be given with the next question
 *     running: RunningProps|null, // the run that is followed; null when it is over
 * }
 */
final readonly class PulseController
{
    public function __invoke(Request $request): JsonResponse
    {
        // Taken before anything is read: what changes meanwhile is told the next time.
        $mark = Tray::mark();
        $since = $request->query('since');
        $run = is_numeric($id = $request->query('run')) ? Run::query()->find((int) $id) : null;
        $changed = is_string($since) && preg_match('/^[0-9]{4}-[0-9]{2}-[0-9]{2} [0-9:.]{8,15}$/D', $since) === 1
            ? Tray::since($since)
            : null;

        return response()->json(
            [
                'frame' => Frame::now(),
                'tray' => [...$changed ?? Tray::first(), ...Tray::found(self::search($request))],
                'anew' => $changed === null,
                'mark' => $mark,
                'running' => $run === null ? null : Orders::running(collect([$run])),
            ],
        );
    }

    private static function search(Request $request): TraySearch
    {
        $text = fn (string $field): string => is_string($given = $request->query($field)) ? $given : '';
        $tags = $request->query('tags');

        return new TraySearch(
            $text('find'),
            TrayFilter::tryFrom($text('only')) ?? TrayFilter::All,
            is_array($tags) ? $tags : [],
            $text('around') === '' ? null : $text('around'),
        );
    }
}
