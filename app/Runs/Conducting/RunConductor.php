<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\SlotKind;
use App\Runs\Filing\Outcome;
use App\Runs\Filing\UnfiledResult;
use App\Stations\BenchEngine;
use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Queue\Worker;
use LogicException;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\HostClock;
use Tally\Device\HostLoad;
use Tally\Measured\Instrument;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\Screen\QuickScreen;
use Tally\Probe\SmallFiles;
use Tally\Probe\SpeedResult;
use Tally\Probe\SpeedRun;
use Tally\Probe\SustainedResult;
use Tally\Probe\SustainedRun;
use Tally\Reading\Copy\SmallFilesResult;
use Tally\Record\CopyParameters;
use Tally\Record\CopyRecord;
use Tally\Record\FilesParameters;
use Tally\Record\FilesRecord;
use Tally\Record\ProofParameters;
use Tally\Record\ProofRecord;
use Tally\Record\RunKind;
use Tally\Record\SpeedParameters;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;
use Tally\Transfer\TimedCopy;

/** Carries a waiting run through to its end, and files what came of it. */
final readonly class RunConductor
{
    public function __construct(
        private AllowedFolders $allowed,
        private float $simulatedSeconds,
        private ?Worker $worker = null,
        private ?int $lane = null,
    ) {}

    public function conduct(Run $run): void
    {
        if ($run->state !== RunState::Waiting) {
            return;
        }
        if ($run->stop_requested) {
            $this->end($run, Outcome::neverBegun());

            return;
        }
        $run->forceFill([
            'state' => RunState::Running,
            'started_at' => now(),
            'ended_at' => null,
            'message' => null,
            'lane' => $this->lane,
        ])->save();
        try {
            match ($run->kind) {
                RunKind::Speed => $this->on($this->medium($run)->whole(), $run, $this->speed(...)),
                RunKind::Sustained => $this->on($this->medium($run)->whole(), $run, $this->sustain(...)),
                RunKind::Proof => $this->prove($run),
                RunKind::Screen => $this->on($this->medium($run)->oneFile(), $run, $this->screen(...)),
                RunKind::Files => $this->files($run),
                RunKind::Copy => $this->end($run, $this->copy($run)),
            };
        } catch (DeviceFault $fault) {
            $this->end($run, Outcome::failed($fault->getMessage()));
        }
    }

    /**
     * @param  callable(Run, LaidMedium, Observer): Outcome  $probe
     *
     * @throws DeviceFault
     */
    private function on(LaidMedium $medium, Run $run, callable $probe): void
    {
        $bench = $medium->isSimulated ? null : $this->bench($run);
        if ($bench !== null) {
            // Before the run: what is measured counts even where its worker dies.
            $this->note($bench, $run);
        }
        $before = HostLoad::now();
        try {
            $outcome = $probe($run, $medium, $this->watch($run, $medium->isSimulated));
            $load = $before->until(HostLoad::now());
            if ($bench !== null && $load !== null) {
                $this->note($bench->during($load), $run);
            }
            $this->end($run, $outcome, $medium->device->close(...));
        } finally {
            // Also where the probe itself failed; twice does no harm.
            $medium->device->close();
        }
    }

    /** What this bench gives in the blocks of the run. */
    private function bench(Run $run): Instrument
    {
        $block = $run->parameters instanceof SpeedParameters ? $run->parameters->plan->block : null;

        return BenchEngine::inBlocks($block, $run->chain->instrument) ?? new Instrument(null, null);
    }

    /** What it measured while others took the processors is the bench's, and not the card's. */
    private function note(Instrument $bench, Run $run): void
    {
        try {
            $run->forceFill(['chain' => $run->chain->at($bench)])->save();
        } catch (QueryException) {
            // The books are away; the result itself is kept for them.
        }
    }

    /**
     * Puts down what came of it, then clears what it wrote, then files it: in this order, so that nothing is lost whatever
     * fails in between. Where the disk of this station takes nothing, the books come first.
     *
     * @param  (Closure(): void)|null  $clear
     */
    private function end(Run $run, Outcome $outcome, ?Closure $clear = null): void
    {
        $isQuitting = $outcome->state === RunState::Stopped && $this->worker?->shouldQuit === true;
        $unfiled = UnfiledResult::put($run, $outcome->withNote($isQuitting ? 'Stopped because the station was shut down.' : null));
        if ($clear !== null && $unfiled->isPut()) {
            $clear();
        }
        $filed = $unfiled->file(fn (): bool => $this->worker?->shouldQuit === true);
        if ($clear !== null) {
            // A second time does no harm.
            $clear();
        }
        if ($filed !== null) {
            $run->setRawAttributes($filed->getAttributes(), true);
        }
    }

    private function watch(Run $run, bool $isSimulated): Observer
    {
        $watch = new RunObserver($run, $this->worker);

        return $isSimulated ? new RealTimePacer($watch, $this->simulatedSeconds) : $watch;
    }

    private function speed(Run $run, LaidMedium $medium, Observer $watch): Outcome
    {
        $parameters = $run->parameters;
        assert($parameters instanceof SpeedParameters);
        $plan = $parameters->plan;
        $result = (new SpeedRun($plan))->on(
            $medium->device,
            $medium->clock,
            $watch,
            new RunProgressSaver(
                $run,
                fn (SpeedResult $soFar): SpeedRecord => SpeedRecord::of($soFar, $plan),
                fn (SpeedResult $soFar): array => ['write' => $soFar->trace, 'read' => []],
            ),
        );

        return Outcome::of(SpeedRecord::of($result, $plan), ['write' => $result->trace, 'read' => []], $result->stopped, $result->cutShort);
    }

    private function sustain(Run $run, LaidMedium $medium, Observer $watch): Outcome
    {
        $result = (new SustainedRun($this->medium($run)->size()))->on(
            $medium->device,
            $medium->clock,
            $watch,
            new RunProgressSaver(
                $run,
                SustainedRecord::of(...),
                fn (SustainedResult $soFar): array => ['write' => $soFar->trace, 'read' => [], 'heat' => $soFar->heat],
            ),
        );

        return Outcome::of(
            SustainedRecord::of($result),
            ['write' => $result->trace, 'read' => [], 'heat' => $result->heat],
            $result->stopped,
            $result->cutShort,
            note: $result->note,
        );
    }

    /**
     * A proof that did not come to its end leaves on the card what it wrote, so that it can go on from there.
     *
     * @throws DeviceFault
     */
    private function prove(Run $run): void
    {
        $asked = self::asked($run);
        $from = $run->checkpoint;
        $from = $from !== null && $asked->again ? $from->readAnew() : $from;
        $medium = $from === null ? $this->medium($run)->whole() : $this->medium($run)->again($from);
        $watch = $this->watch($run, $medium->isSimulated);
        $saver = new RunCheckpoint($run, $medium);
        $clear = $medium->device->close(...);
        try {
            $result =
                $from === null
                    ? FullProof::on($medium->device, $medium->clock, $watch, $asked->size, lookBack: ! $asked->wholeMap, saver: $saver)
                    : FullProof::continued($from, $medium->device, $medium->clock, $watch, saver: $saver);
            $isOver = ! $result->stopped && $result->cutShort === null;
            $clear = $isOver || ! $saver->hasKept() ? $clear : $medium->device->leave(...);
            $record = ProofRecord::of($result, $medium->extent($asked->size), $medium->device->facts()->manner, $asked->reinserted);
            $this->end(
                $run,
                Outcome::of(
                    $record,
                    ['write' => $result->writeTrace, 'read' => $result->readTrace],
                    $result->stopped,
                    $result->cutShort,
                    note: $result->note,
                    checkpoint: $result->checkpoint() ?? $saver->unkept(),
                ),
                $clear,
            );
        } finally {
            $clear();
        }
    }

    private function screen(Run $run, LaidMedium $medium, Observer $watch): Outcome
    {
        $asked = self::asked($run);
        $plan = $asked->screen === null ? null : Run::query()->find($asked->screen)?->proof()?->screen;
        $result =
            $plan === null
                ? QuickScreen::on($medium->device, $medium->clock, $watch, $asked->points)
                : QuickScreen::again($plan, $medium->device, $medium->clock, $watch);

        return Outcome::of(
            ProofRecord::of($result, $medium->extent($asked->size), $medium->device->facts()->manner, $asked->reinserted),
            ['write' => [], 'read' => []],
            $result->stopped,
            $result->cutShort,
            note: $result->note,
        );
    }

    /** @throws DeviceFault */
    private function files(Run $run): void
    {
        $asked = $run->parameters;
        assert($asked instanceof FilesParameters);
        $medium = $this->medium($run)->folder();
        try {
            $saver = new RunProgressSaver($run, fn (SmallFilesResult $soFar): FilesRecord => new FilesRecord($soFar));
            $result = (new SmallFiles($asked->files, $asked->runs))->on(
                $medium->store,
                $medium->clock,
                $this->watch($run, $run->slot?->kind === SlotKind::Simulated),
                $saver,
            );
            $this->end(
                $run,
                Outcome::of(new FilesRecord($result), ['write' => [], 'read' => []], $result->stopped, $result->cutShort),
                $medium->store->clear(...),
            );
        } finally {
            $medium->store->clear();
        }
    }

    /** @throws DeviceFault */
    private function copy(Run $run): Outcome
    {
        $asked = $run->parameters;
        assert($asked instanceof CopyParameters);
        $copy = TimedCopy::of($this->allowed->admitWithin($asked->source), $this->allowed->admitWithin($asked->into), $asked->verify);
        $result = $copy->run(new HostClock(), $this->watch($run, false), new RunProgressSaver($run, CopyRecord::of(...)));

        return Outcome::of(CopyRecord::of($result), ['write' => [], 'read' => []], $result->stopped, $result->cutShort);
    }

    private function medium(Run $run): MediumOfRun
    {
        return new MediumOfRun($this->allowed, $run);
    }

    private static function asked(Run $run): ProofParameters
    {
        return $run->parameters instanceof ProofParameters ? $run->parameters : throw new LogicException("Run {$run->id} is no proof.");
    }
}
