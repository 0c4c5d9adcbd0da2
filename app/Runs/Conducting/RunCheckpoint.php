<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use App\Models\Runs\Run;
use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Proof\Budget;
use Tally\Probe\Proof\Checkpoint;
use Tally\Record\ProofParameters;
use Tally\Record\ProofRecord;
use Tally\Value\Values;

/**
 * Writes into the books where a proof can be taken up again, and what it has found so far.
 *
 * @implements ProgressSaver<Checkpoint>
 */
final class RunCheckpoint implements ProgressSaver
{
    private float $next = 0.0;

    private bool $hasKept;

    /** The newest place, where the books were away when it was to be kept. */
    private ?Checkpoint $unkept = null;

    public function __construct(
        private readonly Run $run,
        private readonly LaidMedium $medium,
        private readonly float $every = RunProgressSaver::EVERY,
    ) {
        $this->hasKept = $run->checkpoint !== null;
    }

    /** Whether there is a place to go on from, in the books or in hand. */
    public function hasKept(): bool
    {
        return $this->hasKept;
    }

    /** The newest place, where the books were away when it was to be kept. */
    public function unkept(): ?Checkpoint
    {
        return $this->unkept;
    }

    public function keep(Closure $soFar): void
    {
        $now = hrtime(true) / 1e9;
        if ($now < $this->next) {
            return;
        }
        $checkpoint = $soFar();
        $place = $checkpoint->in($this->medium->device->facts()->folder);
        $keep = ['checkpoint' => Values::json($place)];
        if ($checkpoint->read > 0) {
            $parameters = $this->run->parameters;
            $asked = $parameters instanceof ProofParameters ? $parameters : new ProofParameters();
            $keep['result'] = Values::json(ProofRecord::soFar($checkpoint, $this->medium->extent($asked->size), $asked->reinserted));
        }
        $this->hasKept = true;
        try {
            Run::query()->whereKey($this->run->id)->update($keep);
            $this->unkept = null;
        } catch (QueryException) {
            // The database is away for a moment: kept with the next one, or with the result.
            $this->unkept = $place;
            DB::disconnect();
        }
        $this->next = hrtime(true) / 1e9 + max($this->every, (hrtime(true) / 1e9 - $now) / Budget::SHARE);
    }
}
