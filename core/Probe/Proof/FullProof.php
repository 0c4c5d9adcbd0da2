<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

use Tally\Device\Addressed;
use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\Fault\EndsRun;
use Tally\Device\Fault\UnusablePath;
use Tally\Pattern\TestPattern;
use Tally\Probe\EarlyCheck\Alarm;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Observing\Unobserved;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Span;
use Tally\Reading\Diagnosis;

/**
 * Writes the whole medium with data that names its run and its address, settles, makes the host forget, reads all of it
 * back and says of every sector what came.
 *
 * It can be left at any moment and continued from its last checkpoint. What was read back before counts; what was written
 * but not surely brought down is written again.
 */
final class FullProof
{
    private ReadBack $reading;

    private readonly WritePass $writing;

    private bool $forgot = false;

    /** @param  ProgressSaver<Checkpoint>|null  $saver */
    private function __construct(
        private readonly Device $device,
        Clock $clock,
        private readonly Pacemaker $beat,
        private readonly TestPattern $imprint,
        private readonly Checkpoint $from,
        private readonly ?ProgressSaver $saver,
    ) {
        $this->writing = new WritePass($device, $clock, $beat, $imprint, from: $from);
        $this->reading = new ReadBack($device, $clock, $beat, $imprint, from: $from, refused: new Refused($from->refused));
        $this->clock = $clock;
    }

    private readonly Clock $clock;

    /**
     * @param  Bytes|null  $upTo  how much of the medium, from its start; null for all of it
     * @param  bool  $lookBack  whether the write pass looks back and ends early on a fake; without it the whole map is made
     * @param  ProgressSaver<Checkpoint>|null  $saver
     */
    public static function on(
        Device $device,
        Clock $clock,
        Observer $observer = new Unobserved(),
        ?Bytes $upTo = null,
        bool $lookBack = true,
        ?ProgressSaver $saver = null,
    ): ProofResult {
        $size = Bytes::of(min($device->size()->count, $upTo->count ?? PHP_INT_MAX));

        return self::from(
            new Checkpoint(TestPattern::random($size)->run, $size, lookBack: $lookBack),
            $device,
            $clock,
            $observer,
            saver: $saver,
        );
    }

    /**
     * @param  ProgressSaver<Checkpoint>|null  $saver
     *
     * @throws UnusablePath|EndsRun when the card is not the one the proof was begun on
     */
    public static function continued(
        Checkpoint $from,
        Device $device,
        Clock $clock,
        Observer $observer = new Unobserved(),
        ?ProgressSaver $saver = null,
    ): ProofResult {
        SameCard::mustBe($device, new TestPattern($from->imprint, $from->size), self::written($from));

        return self::from($from, $device, $clock, $observer, saver: $saver);
    }

    /** @return list<int> addresses that were surely written: the first, the last, and others in between */
    private static function written(Checkpoint $from): array
    {
        $blocks = intdiv($from->allWritten ? $from->size->count : $from->written, TestPattern::BLOCK);

        return $blocks === 0
            ? []
            : array_values(array_unique(array_map(fn (int $i): int => TestPattern::BLOCK * intdiv($i * ($blocks - 1), 16), range(0, 16))));
    }

    /** @param  ProgressSaver<Checkpoint>|null  $saver */
    private static function from(Checkpoint $from, Device $device, Clock $clock, Observer $observer, ?ProgressSaver $saver): ProofResult
    {
        $beat = new Pacemaker($clock, $observer, 2 * $from->size->count, $from->written + $from->read);

        return (new self($device, $clock, $beat, new TestPattern($from->imprint, $from->size), from: $from, saver: $saver))->run();
    }

    private function run(): ProofResult
    {
        $stopped = true;
        $cutShort = null;
        try {
            $written = $this->from->allWritten ? $this->from->size->count : $this->write();
            $alarm = $this->writing->alarm;
            if ($alarm !== null && $this->device instanceof Addressed) {
                return $this->result(false, null, $alarm);
            }
            // A stopped write pass proves nothing yet, so nothing is read back; one that ran into a full disk, or met a fake
            // where single places cannot be asked, proves what it wrote.
            if ($written === $this->imprint->size->count || $this->writing->full || $alarm !== null) {
                $this->forgot = $this->device->forget();
                $stopped = ! $this->reading->run($written, function (int $read): void {
                    $this->keep($this->imprint->size->count, true, $read);
                });
            }
        } catch (EndsRun $gone) {
            $cutShort = $gone->getMessage();
        }

        return $this->result($stopped, $cutShort, null);
    }

    private function write(): int
    {
        $written = $this->writing->run(function (int $settled): void {
            $this->keep($settled, $settled === $this->imprint->size->count, 0);
        });
        $this->reading = new ReadBack(
            $this->device,
            $this->clock,
            $this->beat,
            $this->imprint,
            from: $this->from,
            refused: $this->writing->refused,
        );

        return $written;
    }

    private function keep(int $written, bool $allWritten, int $read): void
    {
        if ($written === 0) {
            return;
        }
        $this->saver?->keep(fn (): Checkpoint => $this->checkpoint($written, $allWritten, $read));
    }

    private function checkpoint(int $written, bool $allWritten, int $read): Checkpoint
    {
        $floor = $this->writing->floor();

        return new Checkpoint(
            $this->imprint->run,
            $this->imprint->size,
            $written,
            $allWritten && ! $this->writing->full,
            read: $read,
            // As it is now: it may be kept while the proof goes on.
            core: clone $this->reading->core,
            refused: $this->writing->refused->all(),
            writeTrace: $this->writing->trace->points(),
            readTrace: $this->reading->trace->points(),
            writing: $this->writing->seconds,
            reading: $this->reading->seconds,
            lookBack: $this->from->lookBack,
            lowestWindow: $floor === null ? null : [$floor->from, $floor->to],
        );
    }

    private function result(bool $stopped, ?string $cutShort, ?Alarm $seen): ProofResult
    {
        $core = $seen?->core() ?? $this->reading->core;
        $alarm = $this->writing->alarm;

        return new ProofResult(
            $this->imprint->run,
            $this->imprint->size,
            $core,
            $seen->diagnosis ?? Diagnosis::of($core, $alarm === null ? $this->imprint->size : null, $this->device->size()),
            write: new Passage(Bytes::of($this->writing->taken), Span::seconds($this->writing->seconds)),
            read: new Passage(Bytes::of($this->reading->read), Span::seconds($this->reading->seconds)),
            forgot: $this->forgot || $seen !== null,
            writeTrace: $this->writing->trace->points(),
            readTrace: $this->reading->trace->points(),
            stopped: $stopped,
            note: $this->writing->note,
            cutShort: $cutShort,
            alarmAt: $alarm?->at,
            floor: $this->writing->floor(),
        );
    }
}
