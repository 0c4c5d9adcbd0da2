<?php

declare(strict_types=1);

namespace App\Runs;

use App\Erasing\Ledger;
use App\Erasing\Permit;
use App\Evidence\CardEvidence;
use App\Gear\OwnMeasurement;
use App\Models\Run;
use App\Models\RunSample;
use App\Models\Slot;
use App\Models\SlotKind;
use Illuminate\Queue\Worker;
use LogicException;
use Tally\Copy\CopyResult;
use Tally\Copy\TimedCopy;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\HostClock;
use Tally\Probe\Proof\Checkpoint;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\Screen\QuickScreen;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Probe\SmallFiles;
use Tally\Probe\SpeedResult;
use Tally\Probe\SpeedRun;
use Tally\Probe\SustainedResult;
use Tally\Probe\SustainedRun;
use Tally\Probe\Watch\Observer;
use Tally\Quantity\Bytes;
use Tally\StandIn\Medium;

/** Carries a waiting run through to its end, and files what came of it. */
final readonly class RunConductor
{
    public function __construct(private AllowedFolders $allowed, private float $standInSeconds, private ?Worker $worker = null, private ?int $lane = null) {}

    public function conduct(Run $run): void
    {
        if ($run->state !== RunState::Waiting) {
            return;
        }
        if ($run->stop_requested) {
            $this->end($run, RunState::Stopped, 'Stopped before it began.');

            return;
        }
        $run->forceFill(['state' => RunState::Running, 'started_at' => now(), 'ended_at' => null, 'message' => null, 'lane' => $this->lane])->save();
        try {
            match ($run->kind) {
                RunKind::Speed => $this->on($this->lay($run), $run, $this->speed(...)),
                RunKind::Sustained => $this->on($this->lay($run), $run, $this->sustain(...)),
                RunKind::Proof => $this->prove($run),
                RunKind::Screen => $this->on($this->layForScreen($run), $run, $this->screen(...)),
                RunKind::Files => $this->files($run),
                RunKind::Copy => $this->copy($run),
            };
        } catch (DeviceFault $fault) {
            $this->end($run, RunState::Failed, $fault->getMessage());
        }
    }

    /**
     * @param  callable(Run, Bench, Observer): void  $probe
     *
     * @throws DeviceFault
     */
    private function on(Bench $bench, Run $run, callable $probe): void
    {
        try {
            $probe($run, $bench, $this->watch($run, $bench->isStandIn));
        } finally {
            $bench->clear();
        }
    }

    private function watch(Run $run, bool $isStandIn): Observer
    {
        $watch = new RunWatch($run, $this->worker);

        return $isStandIn ? new Paced($watch, $this->standInSeconds) : $watch;
    }

    /** @throws DeviceFault */
    private function lay(Run $run): Bench
    {
        $slot = $this->slot($run);
        if ($slot->kind === SlotKind::StandIn) {
            return Bench::standIn($this->medium($run), ChainRecord::unpack($run->chain));
        }
        $size = $run->parameters->integer('size');

        return $slot->kind === SlotKind::Raw ? $this->erase($run, $slot) : Bench::folder($this->path($slot), $size === 0 ? null : Bytes::of($size));
    }

    /** @throws DeviceFault */
    private function layForScreen(Run $run): Bench
    {
        $slot = $this->slot($run);
        $size = $run->parameters->integer('size');

        return $slot->kind === SlotKind::Folder ? Bench::oneFile($this->path($slot), $size === 0 ? null : Bytes::of($size)) : $this->lay($run);
    }

    /** @throws DeviceFault */
    private function layAgain(Run $run, Checkpoint $from): Bench
    {
        $slot = $this->slot($run);

        return match ($slot->kind) {
            SlotKind::StandIn => Bench::standIn($this->medium($run), ChainRecord::unpack($run->chain), $from),
            SlotKind::Raw => $this->erase($run, $slot),
            SlotKind::Folder => Bench::folderTakenUp($this->path($slot), $run->checkpoint?->string('folder')->value() ?? '', $from->size),
        };
    }

    /**
     * Opens a raw medium, and writes down that it is erased before the first byte is.
     *
     * @throws DeviceFault when it must not be
     */
    private function erase(Run $run, Slot $slot): Bench
    {
        $why = $run->parameters->get('why') === null ? null : $run->parameters->string('why')->value();
        $path = $slot->path ?? '';
        $bench = Bench::raw($path, Permit::guard($path, $run->card, $why, $this->allowed->roots()));
        Ledger::enter($run->kind->label().', '.$run->name(), $path, $bench->whole, $run->recorded_by ?? 'nobody named', $run->card, $run, $why);

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
    private function path(Slot $slot): string
    {
        return $this->allowed->admit($slot->path ?? '');
    }

    private function speed(Run $run, Bench $bench, Observer $watch): void
    {
        $plan = SpeedParameters::unpack($run->parameters);
        $result = (new SpeedRun($plan))->on($bench->device, $bench->clock, $watch, new RunKeeper($run, fn (SpeedResult $soFar): array => SpeedRecord::of($soFar, $plan)->pack(), fn (SpeedResult $soFar): array => ['write' => $soFar->trace, 'read' => []]));
        $this->file($run, SpeedRecord::of($result, $plan)->pack(), ['write' => $result->trace, 'read' => []], $result->stopped, $result->cutShort);
    }

    private function sustain(Run $run, Bench $bench, Observer $watch): void
    {
        $size = $run->parameters->integer('size');
        $result = (new SustainedRun($size === 0 ? null : Bytes::of($size)))->on($bench->device, $bench->clock, $watch,
            new RunKeeper($run, fn (SustainedResult $soFar): array => SustainedRecord::of($soFar)->pack(), fn (SustainedResult $soFar): array => ['write' => $soFar->trace, 'read' => [], 'heat' => $soFar->heat]));
        $traces = ['write' => $result->trace, 'read' => [], 'heat' => $result->heat];
        $this->file($run, SustainedRecord::of($result)->pack(), $traces, $result->stopped, $result->cutShort, $result->note);
    }

    /**
     * A proof that did not come to its end leaves on the card what it wrote, so that it can go on from there.
     *
     * @throws DeviceFault
     */
    private function prove(Run $run): void
    {
        $from = $run->checkpoint === null ? null : Checkpoint::unpack($run->checkpoint->toArray());
        $from = $from !== null && $run->parameters->boolean('again') ? $from->readAnew() : $from;
        $bench = $from === null ? $this->lay($run) : $this->layAgain($run, $from);
        $watch = $this->watch($run, $bench->isStandIn);
        $keeper = new RunCheckpoint($run, $bench);
        $isOver = true;
        try {
            $size = $run->parameters->integer('size');
            $result = $from === null
                ? FullProof::on($bench->device, $bench->clock, $watch, $size === 0 ? null : Bytes::of($size), ! $run->parameters->boolean('whole_map'), $keeper)
                : FullProof::continued($from, $bench->device, $bench->clock, $watch, $keeper);
            $isOver = ! $result->stopped && $result->cutShort === null;
            if ($result->checkpoint() !== null) {
                $run->forceFill(['checkpoint' => $result->checkpoint()->pack()]);
            }
            $this->file($run, ProofRecord::of($result, $bench->device)->pack(), ['write' => $result->writeTrace, 'read' => $result->readTrace], $result->stopped, $result->cutShort, $result->note);
        } finally {
            $isOver || ! $this->hasCheckpoint($run) ? $bench->clear() : $bench->leave();
        }
    }

    private function hasCheckpoint(Run $run): bool
    {
        return Run::query()->whereKey($run->id)->whereNotNull('checkpoint')->exists();
    }

    private function screen(Run $run, Bench $bench, Observer $watch): void
    {
        $points = max(ScreenPlan::LEAST, $run->parameters->integer('points', ScreenPlan::POINTS));
        $before = $run->parameters->get('again') === null ? null : Run::query()->find($run->parameters->integer('again'));
        $plan = $before?->result === null ? null : ProofRecord::unpack($before->result)->screen;
        $result = $plan === null ? QuickScreen::on($bench->device, $bench->clock, $watch, $points) : QuickScreen::again($plan, $bench->device, $bench->clock, $watch);
        $this->file($run, ProofRecord::of($result, $bench->device)->pack(), ['write' => [], 'read' => []], $result->stopped, $result->cutShort, $result->note);
    }

    /** @throws DeviceFault */
    private function files(Run $run): void
    {
        $slot = $this->slot($run);
        $isStandIn = $slot->kind === SlotKind::StandIn;
        $bench = $isStandIn ? FilesBench::standIn($this->medium($run), ChainRecord::unpack($run->chain)) : FilesBench::folder($this->path($slot));
        try {
            $result = (new SmallFiles($run->parameters->integer('files'), $run->parameters->integer('runs')))->on($bench->store, $bench->clock, $this->watch($run, $isStandIn), new RunKeeper($run, FilesRecord::pack(...)));
            $this->file($run, FilesRecord::pack($result), ['write' => [], 'read' => []], $result->stopped, $result->cutShort);
        } finally {
            $bench->store->clear();
        }
    }

    /** @throws DeviceFault */
    private function copy(Run $run): void
    {
        $source = $this->allowed->admit($run->parameters->string('source')->value());
        $into = $this->allowed->admit($run->parameters->string('into')->value());
        $result = TimedCopy::of($source, $into, $run->parameters->boolean('verify'))->run(new HostClock, $this->watch($run, false), new RunKeeper($run, fn (CopyResult $soFar): array => CopyRecord::of($soFar)->pack()));
        $this->file($run, CopyRecord::of($result)->pack(), ['write' => [], 'read' => []], $result->stopped, $result->cutShort);
    }

    /**
     * @param  array<string, mixed>  $result
     * @param  array{write: list<array{float, float}>, read: list<array{float, float}>, heat?: list<array{float, float}>}  $traces
     */
    private function file(Run $run, array $result, array $traces, bool $stopped, ?string $cutShort, ?string $note = null): void
    {
        $state = RunState::ended($stopped, $cutShort);
        $note ??= $stopped && $this->worker?->shouldQuit === true ? 'Stopped because the station was shut down.' : null;
        // Hours of work are in hand: if the database is away just now, wait for it a while.
        retry(20, function () use ($run, $result, $traces, $state, $cutShort, $note): void {
            RunSample::query()->updateOrCreate(['run_id' => $run->id], ['traces' => $traces]);
            $run->forceFill(['result' => $result, 'beside' => $run->beside ?? Alongside::of($run)]);
            $this->end($run, $state, $cutShort ?? $note);
            OwnMeasurement::note($run);
        }, 1500);
    }

    private function end(Run $run, RunState $state, ?string $message): void
    {
        $run->forceFill(['state' => $state, 'message' => $message === null ? null : mb_substr($message, 0, 1000), 'ended_at' => now(), 'progress' => null])->save();
        CardEvidence::refresh($run->card);
    }
}
