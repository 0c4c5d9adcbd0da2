<?php

declare(strict_types=1);

namespace App\Runs;

use App\Casts\Json;
use App\Models\Run;
use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tally\Probe\Proof\Budget;
use Tally\Probe\Proof\Checkpoint;
use Tally\Probe\Watch\Keeper;
use Tally\Record\ProofParameters;
use Tally\Record\ProofRecord;

/**
 * Writes into the books where a proof can be taken up again, and what it has found so far.
 *
 * @implements Keeper<Checkpoint>
 */
final class RunCheckpoint implements Keeper
{
    private float $next = 0.0;

    public function __construct(private readonly Run $run, private readonly Bench $bench, private readonly float $every = RunKeeper::EVERY) {}

    public function keep(Closure $soFar): void
    {
        $now = hrtime(true) / 1e9;
        if ($now < $this->next) {
            return;
        }
        $checkpoint = $soFar();
        $keep = ['checkpoint' => json_encode([...$checkpoint->pack(), 'folder' => $this->bench->runFolder()], JSON_THROW_ON_ERROR)];
        if ($checkpoint->read > 0) {
            $parameters = $this->run->parameters;
            $asked = $parameters instanceof ProofParameters ? $parameters : new ProofParameters;
            $keep['result'] = Json::of(ProofRecord::soFar($checkpoint, $this->bench->extent($asked->size), $asked->reinserted)->pack());
        }
        try {
            Run::query()->whereKey($this->run->id)->update($keep);
        } catch (QueryException) {
            // The database is away for a moment: the next one will be kept.
            DB::disconnect();
        }
        $this->next = hrtime(true) / 1e9 + max($this->every, (hrtime(true) / 1e9 - $now) / Budget::SHARE);
    }
}
