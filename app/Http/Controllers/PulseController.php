<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Runs\Run;
use App\Pages\Around\Frame;
use App\Pages\Around\Tray;
use App\Pages\Card\Orders;
use App\Props\Frame\PulseProps;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What changed since a page asked last: one short answer instead of the page anew. */
final readonly class PulseController
{
    public function __invoke(Request $request): JsonResponse
    {
        // Taken before anything is read: what changes meanwhile is told the next time.
        $mark = Tray::mark();
        $since = $request->query('since');
        $run = is_numeric($id = $request->query('run')) ? Run::query()->find((int) $id) : null;

        return response()->json(
            new PulseProps(
                Frame::now(),
                is_string($since) && preg_match('/^[0-9]{4}-[0-9]{2}-[0-9]{2} [0-9:.]{8,15}$/D', $since) === 1
                    ? Tray::since($since)
                    : Tray::all(),
                Tray::size(),
                $mark,
                $run === null ? null : Orders::running(collect([$run])),
            ),
        );
    }
}
