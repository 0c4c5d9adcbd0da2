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

    public static function takeUp(Station $station): void
    {
        $going = [CopyState::Ordered, CopyState::Copying, CopyState::Copied, CopyState::Reading];
        $offloads = Offload::query()
            ->where('station_id', $station->id)
            ->where('is_made_up', false)
            ->where('state', '!=', OffloadState::Ended)
            ->get();
        foreach ($offloads as $offload) {
            $left = OffloadCopy::query()
                ->whereIn('offload_card_id', $offload->cards()->pluck('id'))
                ->whereIn('state', $going)
                ->get()
                ->filter(fn (OffloadCopy $copy): bool => self::isLeft($station, $copy));
            if ($left->isEmpty()) {
                continue;
            }
            DB::table('jobs')->whereIn('id', $left->pluck('job_id'))->delete();
            foreach ($left as $copy) {
                $copy->forceFill(['state' => CopyState::Waiting, 'worker' => null, 'job_id' => null])->save();
            }
            CopyOrders::give($offload);
        }
    }

    private static function isLeft(Station $station, OffloadCopy $copy): bool
    {
        if ($copy->worker !== null) {
            return (new Lane($station, $station->offloadQueue(), $copy->worker))->isFree();
        }

        return ! DB::table('jobs')
            ->where('queue', $station->offloadQueue())
            ->where(
                fn (Builder $order): Builder => $order
                    ->whereNull('reserved_at')
                    ->orWhere('reserved_at', '>', now()->getTimestamp() - self::HELD),
            )
            ->exists();
    }
}
