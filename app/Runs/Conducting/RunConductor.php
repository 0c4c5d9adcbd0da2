<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use App\Erasing\Ledger;
use App\Erasing\Permit;
use App\Erasing\RightMedium;
use App\Models\Runs\Run;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Runs\Filing\Outcome;
use App\Runs\Filing\UnfiledResult;
use App\Runs\RunState;
use App\Stations\SlotLook;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Queue\Worker;
use LogicException;
use Tally\Chain\Path;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\Probe\Copy\TimedCopy;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Proof\Checkpoint;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\Screen\QuickScreen;
use Tally\Probe\SmallFiles;
use Tally\Probe\SpeedResult;
use Tally\Probe\SpeedRun;
use Tally\Probe\SustainedResult;
use Tally\Probe\SustainedRun;
use Tally\Quantity\Bytes;
use Tally\Reading\Copy\SmallFilesResult;
use Tally\Record\CopyParameters;
use Tally\Record\CopyRecord;
use Tally\Record\FilesParameters;
use Tally\Record\FilesRecord;
use Tally\Record\ProofParameters;
use Tally\Record\ProofRecord;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tally\Record\SpeedParameters;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;
use Tally\StandIn\Medium;
use Throwable;

/** Carries a waiting run through to its end, and files what came of it. */
final readonly class RunConductor
{
    public function __construct(
        private AllowedFolders $allowed,
        private float $standInSeconds,
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
                RunKind::Speed => $this->on($this->lay($run), $run, $this->speed(...)),
                RunKind::Sustained => $this->on($this->lay($run), $run, $this->sustain(...)),
                RunKind::Proof => $this->prove($run),
                RunKind::Screen => $this->on($this->layForScreen($run), $run, $this->screen(...)),
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
    private function on(LaidMedium $bench, Run $run, callable $probe): void
    {
        try {
            $this->end($run, $probe($run, $bench, $this->watch($run, $bench->isStandIn)), $bench->device->close(...));
        } finally {
            // Also where the probe itself failed; twice does no harm.
            $bench->device->close();
        }
    }

    /**
     * Puts down what came of it, then clears what it wrote, then files it: in this order, so that nothing is lost whatever
     * fails in between.
     *
     * @param  (Closure(): void)|null  $clear
     */
    private function end(Run $run, Outcome $outcome, ?Closure $clear = null): void
    {
        $isQuitting = $outcome->state === RunState::Stopped && $this->worker?->shouldQuit === true;
        $unfiled = UnfiledResult::put($run, $outcome->withNote($isQuitting ? 'Stopped because the station was shut down.' : null));
        if ($clear !== null) {
            $clear();
        }
        $filed = $unfiled->file(fn (): bool => $this->worker?->shouldQuit === true);
        if ($filed !== null) {
            $run->setRawAttributes($filed->getAttributes(), true);
        }
    }

    private function watch(Run $run, bool $isStandIn): Observer
    {
        $watch = new RunObserver($run, $this->worker);

        return $isStandIn ? new RealTimePacer($watch, $this->standInSeconds) : $watch;
    }

    /** @throws DeviceFault */
    private function lay(Run $run): LaidMedium
    {
        $slot = $this->slot($run);
        if ($slot->kind === SlotKind::StandIn) {
            return LaidMedium::standIn($this->medium($run), $this->chain($run));
        }

        return $slot->kind === SlotKind::Raw
            ? $this->erase($run, $slot)
            : LaidMedium::folder($this->card($run, $slot), self::size($run), self::kept($run));
    }

    /** @throws DeviceFault */
    private function layForScreen(Run $run): LaidMedium
    {
        $slot = $this->slot($run);

        return $slot->kind === SlotKind::Folder
            ? LaidMedium::oneFile($this->card($run, $slot), self::size($run), self::kept($run))
            : $this->lay($run);
    }

    /** @throws DeviceFault */
    private function layOutAgain(Run $run, Checkpoint $from): LaidMedium
    {
        $slot = $this->slot($run);

        return match ($slot->kind) {
            SlotKind::StandIn => LaidMedium::standIn($this->medium($run), $this->chain($run), $from),
            SlotKind::Raw => $this->erase($run, $slot),
            SlotKind::Folder => LaidMedium::folderTakenUp(
                $this->card($run, $slot),
                $run->checkpoint?->string('folder')->value() ?? '',
                $from->size,
            ),
        };
    }

    /**
     * Opens a raw medium, and writes down that it is erased before the first byte is.
     *
     * @throws DeviceFault when it must not be
     */
    private function erase(Run $run, Slot $slot): LaidMedium
    {
        $why = self::asked($run)->why;
        $path = $slot->path ?? '';
        // Somebody may have said just now that there is footage on it.
        $run->card->refresh();
        $bench = SlotLook::undisturbed(
            $slot,
            fn (): LaidMedium => LaidMedium::raw($path, Permit::guard($path, $run->card, $why, $this->allowed->roots())),
        );
        $device = $bench->device;
        try {
            $now = $device->facts()->identity ?? throw new LogicException('A raw medium is something.');
            RightMedium::asOrdered($slot->name, $run->medium, $now);
            RightMedium::notAnother($slot->name, $run->card, $device, $now, $why);
            $run->forceFill(['medium' => $now, 'medium_serial' => $now->serial])->save();
            Ledger::enter(
                $run->kind->label().', '.$run->name(),
                $path,
                $now,
                $run->recorded_by ?? 'nobody named',
                $run->card,
                $run,
                $why,
            );
        } catch (Throwable $fault) {
            $bench->device->close();
            throw $fault;
        }

        return $bench;
    }

    private function slot(Run $run): Slot
    {
        return $run->slot ?? throw new LogicException("Run {$run->id} has no slot.");
    }

    private function medium(Run $run): Medium
    {
        return Medium::parse($run->card->stand_in ?? 'honest');
    }

    /** @throws DeviceFault */
    private function card(Run $run, Slot $slot): HeldFolder
    {
        $held = $this->allowed->hold($slot->path ?? '');
        RightMedium::asOrdered($slot->name, $run->medium, $held->identity());

        return $held;
    }

    private function speed(Run $run, LaidMedium $bench, Observer $watch): Outcome
    {
        $parameters = $run->parameters;
        assert($parameters instanceof SpeedParameters);
        $plan = $parameters->plan;
        $result = (new SpeedRun($plan))->on(
            $bench->device,
            $bench->clock,
            $watch,
            new RunProgressSaver(
                $run,
                fn (SpeedResult $soFar): SpeedRecord => SpeedRecord::of($soFar, $plan),
                fn (SpeedResult $soFar): array => ['write' => $soFar->trace, 'read' => []],
            ),
        );

        return Outcome::of(SpeedRecord::of($result, $plan), ['write' => $result->trace, 'read' => []], $result->stopped, $result->cutShort);
    }

    private function sustain(Run $run, LaidMedium $bench, Observer $watch): Outcome
    {
        $result = (new SustainedRun(self::size($run)))->on(
            $bench->device,
            $bench->clock,
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
            $result->note,
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
        $from = $run->checkpoint === null ? null : Checkpoint::unpack($run->checkpoint->toArray());
        $from = $from !== null && $asked->again ? $from->readAnew() : $from;
        $bench = $from === null ? $this->lay($run) : $this->layOutAgain($run, $from);
        $watch = $this->watch($run, $bench->isStandIn);
        $saver = new RunCheckpoint($run, $bench);
        $clear = $bench->device->close(...);
        try {
            $result =
                $from === null
                    ? FullProof::on($bench->device, $bench->clock, $watch, $asked->size, ! $asked->wholeMap, $saver)
                    : FullProof::continued($from, $bench->device, $bench->clock, $watch, $saver);
            $isOver = ! $result->stopped && $result->cutShort === null;
            $clear = $isOver || ! $saver->hasKept() ? $clear : $bench->device->leave(...);
            $record = ProofRecord::of($result, $bench->extent($asked->size), $bench->device->facts()->manner, $asked->reinserted);
            $this->end(
                $run,
                Outcome::of(
                    $record,
                    ['write' => $result->writeTrace, 'read' => $result->readTrace],
                    $result->stopped,
                    $result->cutShort,
                    $result->note,
                    $result->checkpoint()?->pack() ?? $saver->unkept(),
                ),
                $clear,
            );
        } finally {
            $clear();
        }
    }

    private function screen(Run $run, LaidMedium $bench, Observer $watch): Outcome
    {
        $asked = self::asked($run);
        $plan = $asked->screen === null ? null : Run::query()->find($asked->screen)?->proof()?->screen;
        $result =
            $plan === null
                ? QuickScreen::on($bench->device, $bench->clock, $watch, $asked->points)
                : QuickScreen::again($plan, $bench->device, $bench->clock, $watch);

        return Outcome::of(
            ProofRecord::of($result, $bench->extent($asked->size), $bench->device->facts()->manner, $asked->reinserted),
            ['write' => [], 'read' => []],
            $result->stopped,
            $result->cutShort,
            $result->note,
        );
    }

    /** @throws DeviceFault */
    private function files(Run $run): void
    {
        $slot = $this->slot($run);
        $asked = $run->parameters;
        assert($asked instanceof FilesParameters);
        $isStandIn = $slot->kind === SlotKind::StandIn;
        $bench = $isStandIn
            ? LaidFolder::standIn($this->medium($run), $this->chain($run))
            : LaidFolder::folder($this->card($run, $slot), self::kept($run));
        try {
            $saver = new RunProgressSaver($run, fn (SmallFilesResult $soFar): FilesRecord => new FilesRecord($soFar));
            $result = (new SmallFiles($asked->files, $asked->times))->on(
                $bench->store,
                $bench->clock,
                $this->watch($run, $isStandIn),
                $saver,
            );
            $this->end(
                $run,
                Outcome::of(new FilesRecord($result), ['write' => [], 'read' => []], $result->stopped, $result->cutShort),
                $bench->store->clear(...),
            );
        } finally {
            $bench->store->clear();
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

    /**
     * Folders of proofs that were left and can go on: no other run takes them away unasked. A new proof of the same card does,
     * since it begins anew what they had begun.
     *
     * @return list<string>
     */
    private static function kept(Run $run): array
    {
        $left = Run::query()
            ->where('kind', RunKind::Proof)
            ->whereNotNull('checkpoint')
            ->whereNotIn('state', [RunState::Done, ...RunState::going()])
            ->when($run->kind === RunKind::Proof, fn (Builder $runs): Builder => $runs->where('card_id', '!=', $run->card_id))
            ->get();

        return array_values(array_filter($left->map(fn (Run $one): mixed => $one->checkpoint?->get('folder'))->all(), is_string(...)));
    }

    private static function asked(Run $run): ProofParameters
    {
        return $run->parameters instanceof ProofParameters ? $run->parameters : throw new LogicException("Run {$run->id} is no proof.");
    }

    /** How much of the medium was asked for; null for all there is. */
    private static function size(Run $run): ?Bytes
    {
        return match (true) {
            $run->parameters instanceof SpeedParameters => $run->parameters->plan->region,
            $run->parameters instanceof ProofParameters, $run->parameters instanceof SizeParameters => $run->parameters->size,
            default => null,
        };
    }

    /** What the chain of a run gives at best: a stand-in goes no faster. */
    private function chain(Run $run): Path
    {
        return $run->chain->fastest($run->card->label());
    }
}
