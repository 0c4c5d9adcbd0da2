<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use App\Models\Stations\Station;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/** Copies over which a medium hangs: nothing was heard of them, and nobody need wait for them. */
final readonly class HungCopies
{
    /** Seconds without a word. A worker says twice a second that it goes on; a flush may take a while, but whoever stops is answered. */
    private const SILENT = 10;

    private const SILENT_AT_STOP = 4;

    public static function hangs(Offload $offload, OffloadCopy $copy, Carbon $now): bool
    {
        $silent = $offload->state === OffloadState::Ending ? self::SILENT_AT_STOP : self::SILENT;

        return in_array($copy->state, [CopyState::Copying, CopyState::Reading], true) &&
            $copy->beat_at !== null &&
            $copy->beat_at->isBefore($now->copy()->subSeconds($silent));
    }

    /** Somebody does not wait any longer: it has failed, whatever its worker may still come back with, and the rest goes on. */
    public static function leave(Offload $offload, OffloadCopy $copy, string $by): void
    {
        $copy->forceFill([
            'state' => CopyState::Failed,
            'message' => "Left by {$by}: {$copy->drive} or the card did not answer. What is whole stays. Take the medium out and put ".
                'it in again before it is tried once more.',
        ])->save();
        RealCopies::follow($offload->refresh());
    }

    /** Workers that hang over what was left are ended, where the kernel lets go of them; their station forks others. */
    public static function letGo(Station $station): void
    {
        $left = OffloadCopy::query()
            ->where('state', CopyState::Failed)
            ->whereNotNull('pid')
            ->whereHas('offloadCard.offload', fn (Builder $offload): Builder => $offload->where('station_id', $station->id))
            ->get();
        foreach ($left as $copy) {
            $command = (string) @file_get_contents("/proc/{$copy->pid}/cmdline");
            if ($copy->pid !== null && str_contains($command, 'tally:station')) {
                posix_kill($copy->pid, SIGKILL);
            }
            $copy->forceFill(['pid' => null])->save();
        }
    }
}
