<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use App\Models\Stations\Station;
use Illuminate\Support\Facades\DB;

/** Copies that a worker died over: they are ordered again, and go on where they were. */
final readonly class LeftCopies
{
    /** Asked by each worker as it begins: what still says that it is at work was left by the one before it. */
    public static function takeUp(Station $station, ?int $worker): void
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
                ->when($worker !== null, fn ($copies) => $copies->where('worker', $worker))
                ->get();
            DB::table('jobs')->whereIn('id', $left->pluck('job_id'))->delete();
            foreach ($left as $copy) {
                $copy->forceFill(['state' => CopyState::Waiting, 'worker' => null, 'job_id' => null])->save();
            }
            CopyOrders::give($offload);
        }
    }
}
