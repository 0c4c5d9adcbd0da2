<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Device\Clock;
use Tally\Device\Data;
use Tally\Device\Device;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\MediumGone;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Imprint;
use Tally\Pattern\Patch;
use Tally\Probe\Watch\Observer;
use Tally\Probe\Watch\Pacemaker;
use Tally\Probe\Watch\Phase;
use Tally\Probe\Watch\Unwatched;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/**
 * Writes the whole medium with data that names its run and its address, settles, makes the host forget, reads all of it
 * back and says of every sector what came.
 */
final class FullProof
{
    /** Below this an error is not narrowed down further. */
    private const LEAST_READ = 4096;

    private Trace $writeTrace;

    private Trace $readTrace;

    private CoreSample $core;

    private float $writing = 0.0;

    private float $reading = 0.0;

    private int $read = 0;

    /** Bytes that the device took. */
    private int $taken = 0;

    private bool $full = false;

    private ?string $note = null;

    /** @var array<int, int> offset → length of what the device refused to write */
    private array $refused = [];

    private function __construct(
        private readonly Device $device,
        private readonly Clock $clock,
        private readonly Pacemaker $beat,
        private readonly Imprint $imprint,
    ) {
        $this->writeTrace = new Trace($device->stretch());
        $this->readTrace = new Trace($device->stretch());
        $this->core = new CoreSample;
    }

    /** @param  Bytes|null  $upTo  how much of the medium, from its start; null for all of it */
    public static function on(Device $device, Clock $clock, Observer $observer = new Unwatched, ?Bytes $upTo = null): ProofResult
    {
        $size = Bytes::of(min($device->size()->count, $upTo->count ?? PHP_INT_MAX));
        $beat = new Pacemaker($clock, $observer, 2 * $size->count);

        return (new self($device, $clock, $beat, Imprint::random($size)))->run();
    }

    private function run(): ProofResult
    {
        $forgot = false;
        $stopped = true;
        $cutShort = null;
        try {
            $written = $this->write();
            // A stopped write pass proves nothing yet, so nothing is read back; one that ran into a full disk proves what it wrote.
            if ($written === $this->imprint->size->count || $this->full) {
                $forgot = $this->device->forget();
                $stopped = ! $this->readBack($written);
            }
        } catch (MediumGone $gone) {
            $cutShort = $gone->getMessage();
        }

        return new ProofResult(
            $this->imprint->run,
            $this->imprint->size,
            $this->core,
            new Passage(Bytes::of($this->taken), Span::seconds($this->writing)),
            new Passage(Bytes::of($this->read), Span::seconds($this->reading)),
            $forgot,
            $this->writeTrace->points(),
            $this->readTrace->points(),
            $stopped,
            $this->note,
            $cutShort,
        );
    }

    /** @return int how far the write pass came */
    private function write(): int
    {
        $size = $this->imprint->size->count;
        $at = 0;
        while ($at < $size && ! $this->beat->wantsStop()) {
            $length = min($this->device->stretch(), $size - $at);
            $before = $this->clock->now();
            try {
                $this->device->write($at, $this->imprint->stretch($at, $length));
                $this->writeTrace->add($length, $this->clock->now() - $before);
                $this->taken += $length;
            } catch (CannotWrite $fault) {
                if ($fault->full) {
                    [$this->full, $this->note] = [true, $fault->getMessage()];
                    break;
                }
                $this->refused[$at] = $length;
            }
            $this->writing += $this->clock->now() - $before;
            $at += $length;
            $this->beat->beat(Phase::Writing, 1, $at, $size, $length);
        }
        $before = $this->clock->now();
        $this->beat->beat(Phase::Settling, 1, $at, $size, 0);
        try {
            $this->device->settle();
        } catch (CannotSettle $fault) {
            // Reading back will tell what the medium kept all the same.
            $this->note = $fault->getMessage();
        }
        $this->writing += $this->clock->now() - $before;

        return $at;
    }

    /** @return bool false when it was stopped */
    private function readBack(int $written): bool
    {
        $appraiser = new Appraiser($this->imprint);
        $this->beat->expect($written * 2);
        for ($at = 0; $at < $written; $at += $length) {
            if ($this->beat->wantsStop()) {
                return false;
            }
            $length = min($this->device->stretch(), $written - $at);
            if (isset($this->refused[$at])) {
                $this->core->add(new Patch(BlockClass::Unreadable, $at, $length));
            } else {
                $this->look($appraiser, $at, $length);
            }
            $this->beat->beat(Phase::Reading, 1, $at + $length, $written, $length);
        }

        return true;
    }

    /** Reads one stretch; where that fails, halves of it, so that one bad spot does not condemn its neighbours. */
    private function look(Appraiser $appraiser, int $at, int $length): void
    {
        try {
            $data = $this->timed($at, $length);
        } catch (CannotRead) {
            if ($length <= self::LEAST_READ) {
                $this->core->add(new Patch(BlockClass::Unreadable, $at, $length));

                return;
            }
            $half = max(self::LEAST_READ, intdiv($length, 2 * self::LEAST_READ) * self::LEAST_READ);
            $this->look($appraiser, $at, $half);
            $this->look($appraiser, $at + $half, $length - $half);

            return;
        }
        foreach ($appraiser->appraise($data, $at) as $patch) {
            $this->core->add($patch);
        }
    }

    private function timed(int $at, int $length): Data
    {
        $before = $this->clock->now();
        $data = $this->device->read($at, $length);
        $took = $this->clock->now() - $before;
        $this->reading += $took;
        $this->read += $length;
        $this->readTrace->add($length, $took);

        return $data;
    }
}
