<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use App\Models\Stations\Station;
use App\Stations\Lane;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Copies that a worker died over: they are ordered again, and go on where they were. */
final readonly class LeftCopies
{
    /** An order is taken within a second and signed within another; one that nobody has signed for longer is held by nobody. Seconds. */
    private const HELD = 60;

    private const GOING = [CopyState::Ordered, CopyState::Copying, CopyState::Copied, CopyState::Reading];

    public static function takeUp(Station $station): void
    {
        $offloads = Offload::query()
            ->where('station_id', $station->id)
            ->where('is_made_up', false)
            ->where('state', '!=', OffloadState::Ended)
            ->get();
        foreach ($offloads as $offload) {
            $left = 0;
            $going = OffloadCopy::query()
                ->whereIn('offload_card_id', $offload->cards()->pluck('id'))
                ->whereIn('state', self::GOING);
            foreach ($going->get() as $copy) {
                $left += self::isTakenBack($station, $copy) ? 1 : 0;
            }
            if ($left > 0) {
                CopyOrders::give($offload);
            }
        }
    }

    /** Nobody takes it in hand meanwhile: whoever copies has its lane, and what nobody has signed yet is taken back in one step. */
    private static function isTakenBack(Station $station, OffloadCopy $copy): bool
    {
        $lane = $copy->worker === null ? null : new Lane($station, $station->offloadQueue(), $copy->worker);
        if ($lane === null ? self::isHeld($station) : ! $lane->take()) {
            return false;
        }
        try {
            DB::table('jobs')->where('id', $copy->job_id)->delete();

            return OffloadCopy::query()
                ->whereKey($copy->id)
                ->whereIn('state', $lane === null ? [CopyState::Ordered] : self::GOING)
                ->where('worker', $copy->worker)
                ->update(['state' => CopyState::Waiting, 'worker' => null, 'job_id' => null]) > 0;
        } finally {
            $lane?->let();
        }
    }

    /** Whether an order waits that may be the one of a copy which nobody has signed, or was taken a moment ago. */
    private static function isHeld(Station $station): bool
    {
        return DB::table('jobs')
            ->where('queue', $station->offloadQueue())
            ->where(
                fn (Builder $order): Builder => $order
                    ->whereNull('reserved_at')
                    ->orWhere('reserved_at', '>', now()->getTimestamp() - self::HELD),
            )
            ->exists();
    }
}
