<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use App\Models\Runs\Run;
use App\Models\Runs\RunSample;
use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Record\Result;
use Tally\Value\Values;

/**
 * Writes what was measured so far into the books while a run goes on, at most every other second. It counts only once the
 * run has ended, be it because its worker died.
 *
 * @template T of object
 *
 * @implements ProgressSaver<T>
 */
final class RunProgressSaver implements ProgressSaver
{
    public const EVERY = 2.0;

    private float $last = 0.0;

    /**
     * @param  Closure(T): Result  $record  as it is kept with the run
     * @param  (Closure(T): array<string, mixed>)|null  $traces  as they are kept beside it
     */
    public function __construct(
        private readonly Run $run,
        private readonly Closure $record,
        private readonly ?Closure $traces = null,
        private readonly float $every = self::EVERY,
    ) {}

    public function keep(Closure $soFar): void
    {
        $now = hrtime(true) / 1e9;
        if ($now - $this->last < $this->every) {
            return;
        }
        $this->last = $now;
        $result = $soFar();
        try {
            if ($this->traces !== null) {
                RunSample::query()->updateOrCreate(['run_id' => $this->run->id], ['traces' => ($this->traces)($result)]);
            }
            Run::query()
                ->whereKey($this->run->id)
                ->update(['result' => Values::json(($this->record)($result))]);
        } catch (QueryException) {
            // The database is away for a moment: the result is filed at the end.
            DB::disconnect();
        }
    }
}
