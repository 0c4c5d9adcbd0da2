<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/** A run, waiting on its station's own queue. */
final class ConductRun implements ShouldQueue
{
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 1;

    /** A proof may take days. */
    public int $timeout = 0;

    public function __construct(public readonly int $run) {}

    public function handle(RunConductor $conductor): void
    {
        $run = Run::query()
            ->with(['card', 'slot', 'station'])
            ->findOrFail($this->run);
        // By which it is found again if this worker dies.
        $run->forceFill(['job_id' => is_numeric($id = $this->job?->getJobId()) ? (int) $id : null])->save();
        $conductor->conduct($run);
    }

    public function failed(?Throwable $fault): void
    {
        Run::query()
            ->whereKey($this->run)
            ->whereIn('state', RunState::going())
            ->update([
                'state' => RunState::Failed,
                'message' => 'The program itself failed; the log of this station says where: '.
                    mb_substr($fault?->getMessage() ?? 'no reason was given', 0, 600),
                'ended_at' => now(),
            ]);
    }
}
