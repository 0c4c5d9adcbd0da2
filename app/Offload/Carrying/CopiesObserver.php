<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCopy;
use Illuminate\Database\QueryException;
use Illuminate\Queue\Worker;
use Illuminate\Support\Facades\DB;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;

/** Writes into the books how far copies have come, twice a second. */
final class CopiesObserver implements Observer
{
    private const EVERY = 0.5;

    private float $last = 0.0;

    private int $done = 0;

    private int $copied = 0;

    /** @var array<int, int> copy → bytes that were read back */
    private array $back = [];

    /** @param  list<OffloadCopy>  $copies  in the order of the drives of the transfer */
    public function __construct(
        private readonly Offload $offload,
        private readonly array $copies,
        private readonly ?Worker $worker = null,
    ) {}

    public function progress(Progress $progress): void
    {
        $moved = $progress->done - $this->done;
        $this->done = $progress->done;
        if ($progress->phase === Phase::Writing) {
            $this->copied += $moved;
        } else {
            $this->back[$progress->run - 1] = ($this->back[$progress->run - 1] ?? 0) + $moved;
        }
        $now = hrtime(true) / 1e9;
        if ($now - $this->last < self::EVERY) {
            return;
        }
        $this->last = $now;
        try {
            $this->write($progress->phase);
        } catch (QueryException) {
            // Books that are away for a moment are no reason to give up a copy; what came of it is entered at the end.
            DB::disconnect();
        }
    }

    private function write(Phase $phase): void
    {
        $this->offload->station->newQuery()->whereKey($this->offload->station_id)->update(['worker_seen_at' => now()]);
        foreach ($this->copies as $at => $copy) {
            $copy->beat_at = now();
            $copy->copied = $this->copied;
            if ($phase === Phase::Reading) {
                $copy->copied_at ??= now();
                $copy->back_at ??= now();
                $copy->verified = $this->back[$at] ?? 0;
                $copy->state = CopyState::Reading;
            }
            $copy->save();
        }
    }

    public function wantsStop(): bool
    {
        return $this->worker?->shouldQuit === true;
    }
}
